import { sentNumber } from '@/model/typed-number';
import Joi from 'joi';
import { DISTANCE_UNITS, MOST_STAGES } from '@/core/heat';
import { LOCKINGS, OVERRULED, RANGE_SCHOOLS } from '@/core/joint';
import { HOLE_ENDS, HOLE_MEETS, HOLE_THREADS, type Hole } from './hole';
import { KIND_TURNS, MAX_FASTENERS, NAMED_SCHEMES, type StageScheme } from '@/core/tightening';
import { oneOf } from '@/model/one-of';
import type { FigureFields } from './figure-fields';
import { FASTENER_FORMS, SOCKET_FITS, type FastenerFacts } from './fastener-facts';
import { GASKET_SAYS, JOINT_CLASSES, type FastenerKind, type FigureDetail, type JointDetail } from './joint-detail';
import { MAX_KINDS } from './kind-places';
import { HEAT_CYCLE_SCHOOLS } from '@/model/practice/house-practice';
import { CARES } from './care';
import { MAX_PLACE_NOTES, PLACE_NOTES } from './place-note';

const id = () => Joi.string().max(60);

const length = () => sentNumber().positive().max(2000).allow(null).required();

const torque = () => sentNumber().min(0).max(5000).allow(null).required();

const locking = oneOf(LOCKINGS).required();

const beyondThread = {
  form: oneOf(FASTENER_FORMS).required(),
  grade: id().allow(null).required(),
  metalThread: Joi.string().max(40).allow(null).required(),
  seating_Nm: torque(),
  washer_mm: length(),
  washerThickness_mm: length().optional().default(null),
  washerBore_mm: length().optional().default(null),
  length_mm: length(),
  threadLength_mm: length(),
  headHeight_mm: length(),
  nutHeight_mm: length().optional().default(null),
  nutGrade: id().allow(null).default(null),
  seat_deg: sentNumber().min(30).max(179).allow(null).default(null),
  shankDiameter_mm: length(),
  locking,
  prevailingLow_Nm: torque(),
  prevailingHigh_Nm: torque(),
  socket: oneOf(SOCKET_FITS).required(),
  takenBeyondYield: Joi.boolean().allow(null).default(null),
  platedUnbaked: Joi.boolean().allow(null).default(null),
};

const facts = Joi.object<FastenerFacts, true>({
  ...beyondThread,
  thread: Joi.string().trim().max(40).required(),
  outer_mm: sentNumber().positive().max(200).required(),
  inner_mm: sentNumber().positive().max(200).required(),
  faceMeasured: Joi.boolean().required(),
});

const override = Joi.object({
  value_Nm: sentNumber().positive().max(5000).allow(null).required(),
  reason: Joi.string().trim().min(1).max(400).required(),
});

/** What of a figure's detail stands in a joint and in each of its kinds. */
const FIGURE_PARTS: Readonly<Record<keyof FigureDetail, Joi.Schema>> = {
  original: Joi.object(beyondThread).required(),
  today: facts.allow(null).required(),
  headFilm: id().allow(null).required(),
  parent: Joi.object({
    metal: id().allow(null).required(),
    engagement_mm: length(),
    underHead: id().allow(null).required(),
    holeDepth_mm: length(),
    holeThrough: Joi.boolean().default(false),
    insert: Joi.boolean().allow(null).default(null),
    insertLength_mm: length().optional().default(null),
    insertLow_Nm: torque().optional().default(null),
    insertHigh_Nm: torque().optional().default(null),
    hottest_C: sentNumber().min(0).max(600).allow(null).default(null),
    grip_mm: length(),
    gasketArea_mm2: sentNumber().positive().max(1e6).allow(null).default(null),
    gasketLimit_MPa: sentNumber().positive().max(5000).allow(null).default(null),
    nearHeat: Joi.boolean().allow(null).required(),
    boreMoves: Joi.boolean().allow(null).required(),
  }).required(),
  maker: Joi.object({
    text: Joi.string().max(200).required(),
    film: id().required(),
    source: Joi.string().max(200).required(),
  })
    .allow(null)
    .required(),
  adaptor: Joi.object({
    wrenchLength_mm: sentNumber().positive().max(3000).required(),
    extension_mm: sentNumber().min(-2000).max(2000).required(),
    angle_deg: sentNumber().min(-360).max(360).required(),
  })
    .allow(null)
    .required(),
  overrides: Joi.object(Object.fromEntries(OVERRULED.map((rung) => [rung, override]))).required(),
  wrenchByHand: Joi.boolean().required(),
  confirming: Joi.boolean().required(),
  leafReason: Joi.string().max(400).allow(null).required(),
  overLeafId: id().allow(null).default(null),
  changeMeans: Joi.object({
    means: oneOf(['next-round', 'correction'] as const).required(),
    target_Nm: sentNumber().positive().max(1e6).required(),
    of: Joi.object({
      thread: Joi.string().max(40).required(),
      threadFilm: id().required(),
      headFilm: id().required(),
      printedText: Joi.string().max(400).required(),
    }).optional(),
  })
    .allow(null)
    .default(null),
  leftUnknown: Joi.array().items(id()).max(40).default([]),
  slope: Joi.object({
    from_Nm: sentNumber().positive().max(5000).required(),
    to_Nm: sentNumber().greater(Joi.ref('from_Nm')).max(5000).required(),
    turned_deg: sentNumber().positive().max(360).required(),
    of: Joi.object({
      thread: Joi.string().max(40).required(),
      threadFilm: id().required(),
      headFilm: id().required(),
    }).required(),
  })
    .allow(null)
    .default(null),
  standard: Joi.object({ grade: id().required(), fraction: sentNumber().greater(0).max(1).required() })
    .allow(null)
    .required(),
};

/** Shares of the final figure that rise to it, by name or typed. */
export const stageScheme = (): Joi.Schema<StageScheme> =>
  Joi.alternatives<StageScheme>(oneOf(NAMED_SCHEMES), Joi.array().items(sentNumber().greater(0).max(1)).min(1).max(8));

const FIGURE_FIELDS: Readonly<Record<keyof FigureFields, Joi.Schema>> = {
  leafId: id().required(),
  thread: Joi.string().trim().max(40).required(),
  bearingOuter_mm: sentNumber().positive().max(200).required(),
  bearingInner_mm: sentNumber().positive().max(200).required(),
  bearingMeasured: Joi.boolean().required(),
  originalFilm: id().required(),
  originalFilmReason: Joi.string().max(400).allow('').required(),
  todayFilm: id().required(),
  rangeSchool: oneOf(RANGE_SCHOOLS).required(),
  stageScheme: stageScheme().required(),
  wrenchId: id().required(),
};

const place = () =>
  sentNumber()
    .integer()
    .min(0)
    .max(MAX_FASTENERS - 1);

const kind = Joi.object<FastenerKind>({
  name: Joi.string().trim().min(1).max(60).required(),
  places: Joi.array().items(place()).unique().min(1).max(MAX_FASTENERS).required(),
  fields: Joi.object(FIGURE_FIELDS).required(),
  detail: Joi.object(FIGURE_PARTS).required(),
});

/** After what a joint is gone over: one thing at the least. */
const retorqueStage = Joi.object({
  cycles: sentNumber().integer().min(1).max(100),
  distance: Joi.object({
    value: sentNumber().positive().max(1_000_000).required(),
    unit: oneOf(DISTANCE_UNITS).required(),
  }),
  hours: sentNumber().positive().max(100_000),
  days: sentNumber().integer().min(1).max(10_000),
})
  .or('cycles', 'distance', 'hours', 'days')
  .messages({ 'object.missing': 'Each retorque says after what: cycles, a distance, hours or days.' });

/** The parts of a joint's detail, each by itself. */
export const DETAIL_PARTS: Readonly<Record<keyof JointDetail, Joi.Schema>> = {
  ...FIGURE_PARTS,
  jointClass: oneOf(JOINT_CLASSES).required(),
  care: oneOf(CARES).allow(null).required(),
  places: Joi.array()
    .items(Joi.array().items(sentNumber().min(-5000).max(5000)).length(2))
    .max(MAX_FASTENERS)
    .allow(null)
    .default(null),
  turn: Joi.array()
    .items(
      sentNumber()
        .integer()
        .min(0)
        .max(MAX_FASTENERS - 1),
    )
    .unique()
    .max(MAX_FASTENERS)
    .allow(null)
    .default(null),
  holes: Joi.array()
    .items(
      Joi.object<Hole, true>({
        place: sentNumber().integer().min(0).max(MAX_FASTENERS).required(),
        end: oneOf(HOLE_ENDS).required(),
        meets: oneOf(HOLE_MEETS).required(),
        depth_mm: sentNumber().greater(0).max(500).allow(null).required(),
        thread: oneOf(HOLE_THREADS).required(),
        isClear: Joi.boolean().required(),
      }),
    )
    .max(MAX_FASTENERS)
    .default([]),
  placeNotes: Joi.array()
    .items(
      Joi.object({
        place: sentNumber()
          .integer()
          .min(0)
          .max(MAX_FASTENERS - 1)
          .required(),
        kind: oneOf(PLACE_NOTES).required(),
        words: Joi.string().trim().max(200).allow('').required(),
      }),
    )
    .max(MAX_PLACE_NOTES)
    .default([]),
  clampMap: Joi.object({
    head: id().required(),
    gasket: id().required(),
    E_GPa: sentNumber().positive().max(1000).required(),
    poisson: sentNumber().min(0).less(0.5).required(),
    depth_mm: sentNumber().positive().max(500).required(),
    solid: sentNumber().positive().max(1).required(),
    foundation_N_per_mm3: sentNumber().positive().max(5000).required(),
    // What was written before gave as much either way.
    unloading: sentNumber().min(1).max(50).default(1),
    pitch_mm: sentNumber().positive().max(1000).allow(null).required(),
    margin_mm: sentNumber().min(0).max(500).required(),
    boltStiffness_N_per_mm: sentNumber().positive().max(1e8).required(),
  })
    .allow(null)
    .default(null),
  alsoLeaves: Joi.array().items(id()).max(40).required(),
  heatCycle: oneOf(HEAT_CYCLE_SCHOOLS).default('head-60'),
  cold: Joi.alternatives(
    Joi.object({ within_K: sentNumber().min(1).max(60).required() }),
    Joi.object({ hours: sentNumber().min(1).max(168).required() }),
  )
    .allow(null)
    .default(null),
  warm: Joi.object({
    head_C: sentNumber().min(20).max(200).required(),
    page: Joi.string().trim().min(1).max(200).required(),
  })
    .allow(null)
    .default(null),
  again: Joi.array().items(retorqueStage).max(MOST_STAGES).default([]),
  gasketSays: oneOf(GASKET_SAYS).default('unread'),
  slackenBy_deg: sentNumber().positive().max(360).allow(null).default(null),
  newAfter: Joi.string().isoDate().raw().max(40).allow(null).default(null),
  follows: Joi.array().items(Joi.string().trim().min(1).max(120)).max(20).unique().allow(null).default(null),
  retorqueSource: Joi.string().trim().max(200).allow('').default(''),
  kinds: Joi.array().items(kind).max(MAX_KINDS).default([]),
  firstCap: sentNumber()
    .integer()
    .min(1)
    .max(MAX_FASTENERS / 2)
    .allow(null)
    .default(null),
  kindTurn: oneOf(KIND_TURNS).default('by-stage'),
  kindSequence: Joi.array()
    .items(sentNumber().integer().min(0).max(MAX_KINDS))
    .max(12 * (MAX_KINDS + 1))
    .default([]),
};

/** The whole of a joint's detail, as a build file has it. */
export const detailSchema = Joi.object<JointDetail>(DETAIL_PARTS);
