import type { BenchEvent } from '@/core/tightening';
import type { TighteningPlan } from './tightening-plan';

export type Purpose = 'final' | 'trial' | 'retorque';

export interface Tightening {
  readonly id: string;
  readonly jointId: string;
  readonly purpose: Purpose;
  readonly plan: TighteningPlan;
  readonly startedAt: string;
}

export type RecordedEvent = BenchEvent & { readonly recordedAt: string };
