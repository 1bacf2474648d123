import type { toTakeOver } from '@/db/reads/to-take-over';
import { currentLeaves } from '@/model/book/current-leaves';
import type { Leaf } from '@/model/book/leaf';
import type { EngineRows } from '@/model/engine/engine-rows';

/** An entry or a joint that may be taken over. */
export interface Offered {
  readonly id: string;
  readonly name: string;
  readonly line: string;
  /** One like it is in the book already, or a joint of that name stands there. */
  readonly isHere: boolean;
}

export interface TakeOverPage {
  readonly leaves: readonly Offered[];
  readonly joints: readonly (Offered & { readonly leafId: string })[];
}

type Printed = Pick<Leaf, 'sourceId' | 'page' | 'subject' | 'printedText' | 'conditionText'>;

const printed = ({ sourceId, page, subject, printedText, conditionText }: Printed) =>
  JSON.stringify([sourceId, page.trim(), subject.trim().toLowerCase(), printedText.trim(), conditionText]);

/** The entry of a book that says the same as another, from the same page. */
export function sameEntry(leaves: readonly Leaf[]): (leaf: Printed) => Leaf | undefined {
  const known = new Map(currentLeaves(leaves).map((leaf) => [printed(leaf), leaf]));
  return (leaf) => known.get(printed(leaf));
}

const plainName = (name: string) => name.trim().toLowerCase();

/** Whether a joint of that name stands on an engine. */
export function hasJointNamed({ joints }: Pick<EngineRows, 'joints'>): (name: string) => boolean {
  const names = new Set(joints.map(({ name }) => plainName(name)));
  return (name) => names.has(plainName(name));
}

/** What one engine’s book and joints offer to a sister engine. */
export function takeOverPage(
  into: Pick<EngineRows, 'leaves' | 'joints'>,
  from: ReturnType<typeof toTakeOver>,
): TakeOverPage {
  const same = sameEntry(into.leaves);
  const isNamed = hasJointNamed(into);
  return {
    leaves: from.leaves.map((leaf) => ({
      id: leaf.id,
      name: leaf.subject,
      line: `“${leaf.printedText}”, ${leaf.source}, p. ${leaf.page}`,
      isHere: same(leaf) !== undefined,
    })),
    joints: from.joints.map(({ id, name, leafId, fasteners, thread }) => ({
      id,
      name,
      leafId,
      line: `${fasteners} × ${thread}`,
      isHere: isNamed(name),
    })),
  };
}
