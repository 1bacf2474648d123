import type { HeadMetal } from '@/core/heat';
import type { HousePractice } from '@/core/joint';
import type { TorqueUnit } from '@/core/units';

export interface Engine {
  readonly id: string;
  readonly name: string;
  readonly kind: 'car' | 'motorcycle';
  readonly year: number | null;
  readonly engineNumber: string;
  readonly headMetal: HeadMetal;
  readonly blockMetal: HeadMetal;
  readonly preferredUnit: TorqueUnit;
  /** Where this engine's practice differs from the shop's. */
  readonly practice: Partial<HousePractice>;
  readonly createdAt: string;
}
