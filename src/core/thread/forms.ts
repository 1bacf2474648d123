import type { ThreadForm, ThreadSeries } from './thread';

/** ISO 68-1, with the root of ISO 898-1: d2 = d − 0.649519 P, d3 = d − 1.226869 P. */
const METRIC: ThreadForm = { includedAngle_deg: 60, pitchDiameterFactor: 0.649519, minorDiameterFactor: 1.226869 };
/** DIN 13 and 244 before the ISO profile: the bolt's root lay deeper, d3 = d − 1.3894 P. */
const METRIC_BEFORE_ISO: ThreadForm = { ...METRIC, minorDiameterFactor: 1.3894 };
/** ASME B1.1; d3 = d − 1.299038 P makes the printed area π/4·(d − 0.9743/n)². */
const UNIFIED: ThreadForm = { includedAngle_deg: 60, pitchDiameterFactor: 0.649519, minorDiameterFactor: 1.299038 };
/** BS 84: depth 0.640327 P either side of the effective diameter. */
const WHITWORTH: ThreadForm = { includedAngle_deg: 55, pitchDiameterFactor: 0.640327, minorDiameterFactor: 1.280654 };
/** BS 811: depth 0.5327 P. */
const CYCLE: ThreadForm = { includedAngle_deg: 60, pitchDiameterFactor: 0.5327, minorDiameterFactor: 1.0654 };
/** BS 93: depth 0.6 P, 47½°. */
const ASSOCIATION: ThreadForm = { includedAngle_deg: 47.5, pitchDiameterFactor: 0.6, minorDiameterFactor: 1.2 };

export const THREAD_FORMS: Readonly<Record<ThreadSeries, ThreadForm>> = {
  M: METRIC,
  'M pre-ISO': METRIC_BEFORE_ISO,
  UNC: UNIFIED,
  UNF: UNIFIED,
  BSW: WHITWORTH,
  BSF: WHITWORTH,
  Brass: WHITWORTH,
  BSP: WHITWORTH,
  CEI: CYCLE,
  BA: ASSOCIATION,
};

/** One object a form: two series of one form share it. */
export const threadForm = (series: ThreadSeries): ThreadForm => THREAD_FORMS[series];
