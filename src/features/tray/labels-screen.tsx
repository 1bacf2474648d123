'use client';

import key from '@/interface/parts/button.module.css';
import { Button } from '@/interface/parts/button';
import { Screen } from '@/interface/parts/screen';
import type { TrayPart } from '@/model/order/tray';
import type { TrayPage } from './queries';
import { Link } from '@/interface/parts/link';
import styles from './tray-screen.module.css';

interface Bag {
  readonly name: string;
  readonly parts: readonly TrayPart[];
}

/** Parts of one bag lie on one label; what is in none has a label of its own. */
function bagsOf(tray: readonly TrayPart[]): readonly Bag[] {
  const bags = new Map<string, TrayPart[]>();
  for (const one of tray) {
    const name = one.part.bag || one.part.name;
    bags.set(name, [...(bags.get(name) ?? []), one]);
  }
  return [...bags].map(([name, parts]) => ({ name, parts }));
}

/** Labels for bags and tins, to be printed and cut. */
export function LabelsScreen({ page }: { readonly page: TrayPage }) {
  const steps = new Map(page.steps.map(({ id, name }) => [id, name]));
  return (
    <Screen
      plain
      title="Labels for the bags"
      aside={
        <span className={styles.keys}>
          <Button onClick={() => window.print()}>Print</Button>
          <Link href={`/engines/${page.engineId}/order/tray`} className={key.key}>
            The tray
          </Link>
        </span>
      }
    >
      <ul className={styles.labels}>
        {bagsOf(page.tray).map(({ name, parts }) => (
          <li key={name} className={styles.label}>
            <p className={styles.labelName}>{name}</p>
            <p>{page.engineName}</p>
            {parts.map(({ part, left }) => (
              <p key={part.id}>
                {left} × {part.name}
                {part.mark && `, marked ${part.mark}`}
                {part.stepId && `: ${steps.get(part.stepId) ?? ''}`}
              </p>
            ))}
          </li>
        ))}
      </ul>
    </Screen>
  );
}
