import type { YardSheets } from './load-fits';

/** What is known of the whole Fourteen: bored sixty thou over, crank ground ten under, rods matched, rings clocked. */
export const fourteenSheets: YardSheets = {
  volumes: {
    bore_mm: 62.484,
    stroke_mm: 94.996,
    cylinders: 4,
    overbore_mm: 1.524,
    chamber_cc: 58,
    gasketBore_mm: 66.04,
    gasket_mm: 1.397,
    deck_mm: 0.508,
    crown_cc: 0,
  },
  weights: {
    what: 'rods',
    name: 'Connecting rods',
    rods: [
      { big_g: 412, small_g: 171 },
      { big_g: 415, small_g: 170 },
      { big_g: 411, small_g: 172 },
      { big_g: 413, small_g: 170 },
    ],
    pieces_g: [],
    tolerance_g: 1,
  },
  balance: {
    report: 'Balancing report of 14 March',
    unit: 'g·mm',
    planes: [
      { name: 'Front', before_gmm: 310, after_gmm: 42, allowed_gmm: 60 },
      { name: 'Rear', before_gmm: 265, after_gmm: 38, allowed_gmm: 60 },
    ],
  },
  clocking: {
    marks: [
      { name: 'Top ring', at_deg: 30, kind: 'gap' },
      { name: 'Second ring', at_deg: 150, kind: 'gap' },
      { name: 'Oil ring', at_deg: 250, kind: 'gap' },
    ],
    pin_deg: 0,
    thrust_deg: 90,
    note: 'As found; the book gives no order.',
  },
  bearings: {
    name: 'Main bearings',
    journal_mm: 50.7619,
    journalStandard_mm: 51.054,
    housing_mm: 54.61,
    housingStandard_mm: 54.61,
    steps_mm: [0.254, 0.508, 0.762],
    tolerance_mm: 0.0508,
    shells: [
      { upper: '010', lower: '010' },
      { upper: '010', lower: '010' },
      { upper: '010', lower: '010' },
    ],
  },
  marks: {
    pairs: [
      { place: 'Rod 1', one: '1', other: '1' },
      { place: 'Rod 2', one: '2', other: '2' },
      { place: 'Rod 3', one: '3', other: '3' },
      { place: 'Rod 4', one: '4', other: '4' },
    ],
  },
};
