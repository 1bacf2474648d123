import type { ThreadRow } from '../thread';
import { flatsInInches, inchRow } from './inch-row';
import { BSF_HEXAGONS_IN } from './whitworth';

/** BS 811, once the rule of the cycle engineers: 26 to the inch, and 20 from 7/16 up. */
const FINE = ['7/32', '1/4', '17/64', '9/32', '5/16', '3/8', '7/16', '1/2', '9/16', '5/8', '11/16', '3/4'];
const SECOND = ['7/16', '1/2', '9/16', '5/8', '11/16', '3/4'];

const flatsOf = (nominal: string) => {
  const inch = BSF_HEXAGONS_IN[nominal];
  return inch === undefined ? undefined : flatsInInches([inch, 'BSF hexagon']);
};

export const CYCLE_ROWS: readonly ThreadRow[] = [
  ...FINE.map((nominal) => inchRow('CEI', nominal, 26, { flats: flatsOf(nominal) })),
  ...SECOND.map((nominal) => inchRow('CEI', nominal, 20, { usual: false, flats: flatsOf(nominal) })),
];
