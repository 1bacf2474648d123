import type { TorqueReading } from '@/core/print';
import { torqueFromSi, type TorqueUnit } from '@/core/units';
import { useFigures } from './preferences';

/** One figure of a reading in another unit: a range where the page prints one. */
export function useConverted() {
  const { significant } = useFigures();
  return ({ min_Nm, max_Nm }: Pick<TorqueReading, 'min_Nm' | 'max_Nm'>, unit: TorqueUnit): string => {
    const [low, high] = [significant(torqueFromSi(min_Nm, unit), 3), significant(torqueFromSi(max_Nm, unit), 3)];
    return low === high ? `${low} ${unit}` : `${low} to ${high} ${unit}`;
  };
}
