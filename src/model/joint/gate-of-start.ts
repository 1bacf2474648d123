import type { Guard } from '@/core/joint';
import { DomainError } from '@/core/units';
import type { Gate } from '@/model/fit/fit-gate';
import type { ChosenPurpose } from '@/model/joint/tightening';

/**
 * What is out is not closed up for good, and nothing is while a strip lies in a bearing. A round that completes nothing may go on. @throws
 * DomainError
 */
export function assertGate({ held, strips }: Gate, purpose: ChosenPurpose): void {
  if (purpose !== 'final') return;
  const out = held.map(({ line }) => line).join('; ');
  if (out)
    throw new DomainError(
      'fit-out',
      `${out}. Put it right and read it again; until then only a test round is done.`,
      'purpose',
    );
  if (strips.length > 0)
    throw new DomainError(
      'strip-in',
      `A strip lies in ${strips.join(', ')}: until it is out only a test round is done, without turning the crank.`,
      'purpose',
    );
}

/**
 * What stands against a going-round has a written reason; where there is nothing to pull for, none lifts it. @throws
 * DomainError off-scale, needs-reason, or the guard's own code
 */
export function assertReasoned(guards: readonly Guard[], reason: string): void {
  const stops = guards.filter(({ severity }) => severity === 'stop');
  const barred = stops.find(({ code, absolute }) => code === 'off-scale' || absolute);
  if (barred) throw new DomainError(barred.code, barred.message, 'wrenchId');
  if (stops.length > 0 && !reason)
    throw new DomainError(
      'needs-reason',
      `This stands against it: ${stops.map(({ message }) => message).join(' ')} Write down why it is pulled all the same.`,
      'reason',
    );
}
