import { boltSegments } from '@/core/fastener';
import { threadNamed } from '@/core/thread';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { maestraleFits } from './maestrale-fits';
import { maestraleOrder } from './orders';
import type { YardBoltSet, YardCycle, YardEngine, YardJoint } from './load-yard';

const FREE = [58.012, 58.006, 58.02, 58.009];
const TIGHT: readonly (readonly [mm: number, torque: number])[] = [[58.141, 31], [58.132, 30.5], [58.1, 36], [58.139, 31.5]]; // prettier-ignore

/** Four rod bolts, three inside their stretch and one at its ceiling without it. */
const rodBolts: YardBoltSet = {
  id: 'demo-m-rod-bolts',
  kind: '',
  name: 'Rod bolts',
  bolts: 4,
  segments: boltSegments(threadNamed('M8×1'), {
    shank_mm: 16,
    shankDiameter_mm: 8,
    waist_mm: 24,
    waistDiameter_mm: 6.6,
    freeThread_mm: 5,
  }),
  E_GPa: 205,
  minStretch_mm: 0.12,
  maxStretch_mm: 0.14,
  ceiling_Nm: 36,
  maxSet_mm: 0.01,
  bothEnds: true,
  readings: [
    ...FREE.map((length_mm, i) => ({
      bolt: i + 1,
      kind: 'free' as const,
      length_mm,
      typed: length_mm.toFixed(3),
      torque_Nm: null,
      strikes: null,
      minutesAgo: 14_200 - i,
    })),
    ...TIGHT.map(([length_mm, torque_Nm], i) => ({
      bolt: i + 1,
      kind: 'tight' as const,
      length_mm,
      typed: length_mm.toFixed(3),
      torque_Nm,
      strikes: null,
      minutesAgo: 14_100 - 6 * i,
    })),
  ],
};

/** Ran from, cooled, gone over: minutes ago, the longest ago first; and how far each screw moved then. */
const CASE_HEATS: readonly (readonly [ranTo: number, highest_C: number, goneOver: number, moved_deg: readonly number[]])[] = [
  [36_000, 96, 35_380, [12, 13, 11, 12, 19, 12, 14, 13]],
  [30_000, 104, 29_380, [3, 3, 2, 3, 11, 3, 3, 2]],
  [22_000, 101, 21_380, [1, 2, 1, 1, 8, 1, 2, 1]],
]; // prettier-ignore

const caseRuns: readonly YardCycle[] = CASE_HEATS.map(([ranTo, highest_C], i) => ({
  id: `demo-m-run-${i + 1}`,
  ranFromMinutesAgo: ranTo + 45,
  ranToMinutesAgo: ranTo,
  highest_C,
  ambient_C: 14,
  ...(i === 2 && { seen: [{ sign: 'leak' as const, words: 'a film of oil below the lowest screw of the case' }] }),
  readings: [
    { id: `demo-m-run-${i + 1}-read`, minutesAgo: ranTo - 75, head_C: 14 + (highest_C - 14) * 0.36, ambient_C: 14 },
    { id: `demo-m-run-${i + 1}-cold`, minutesAgo: ranTo - 600, head_C: 15.5, ambient_C: 14 },
  ],
}));

/** The case was closed before the head came off again: three retorques, and one screw that goes on losing. */
const crankcase: YardJoint = {
  id: 'demo-m-joint-case',
  leafId: 'demo-m-case',
  name: 'Crankcase halves',
  pattern: 'ring',
  fasteners: 8,
  thread: 'M7',
  originalFilm: 'engine-oil',
  originalFilmReason: 'the page says “oliate”',
  todayFilm: 'engine-oil',
  rangeSchool: 'middle',
  stageScheme: 'halves',
  orderSchool: 'star',
  unitOfWork: 'row',
  turnShaft: false,
  wrenchId: 'demo-wrench-nm',
  retorqueSchool: 'slacken',
  detail: {
    original: { ...PLAIN_DETAIL.original, form: 'bolt', grade: 'din-8g' },
    parent: { ...PLAIN_DETAIL.parent, metal: 'aluminium-cast', engagement_mm: 14, grip_mm: 42 },
    again: [{ cycles: 1 }, { distance: { value: 200, unit: 'km' } }, { distance: { value: 500, unit: 'km' } }],
    gasketSays: 'nothing',
    retorqueSource: 'Manuale, page 31',
    follows: ['oil: its level, and leaks at the joint', 'engine mounting nuts'],
    // On paper between soft faces the torque rises slowly.
    slope: {
      from_Nm: 4,
      to_Nm: 8,
      turned_deg: 60,
      of: { thread: 'M7', threadFilm: 'engine-oil', headFilm: 'engine-oil' },
    },
  },
  tightenings: [
    { purpose: 'final', startedMinutesAgo: 37_700, minutesPerStep: 0.8 },
    ...CASE_HEATS.map(([, , startedMinutesAgo, turned_deg], i) => ({
      purpose: 'retorque' as const,
      startedMinutesAgo,
      minutesPerStep: 1,
      cycleId: `demo-m-run-${i + 1}`,
      turned_deg,
    })),
  ],
};

/** Overhead-camshaft single of 1957: half way round its cylinder head, left nine days ago. */
export const maestrale: YardEngine = {
  id: 'demo-maestrale',
  name: 'Valdrossa Maestrale 250',
  kind: 'motorcycle',
  year: 1957,
  engineNumber: 'M250 04418',
  headMetal: 'aluminium',
  blockMetal: 'aluminium',
  preferredUnit: 'kgf·m',
  sources: [
    {
      id: 'demo-maestrale-manual',
      title: 'Valdrossa Maestrale, manuale di officina',
      edition: '1a edizione',
      year: 1957,
      leaves: [
        { id: 'demo-m-head', page: '33', subject: 'Dadi testa', printedText: '2,8 mkg', conditionText: 'oliati' },
        {
          id: 'demo-m-sprocket',
          page: '36',
          subject: 'Dado pignone',
          printedText: '6,0 mkg (34.4 lb ft)',
          conditionText: null,
        },
        {
          id: 'demo-m-rods',
          page: '29',
          subject: 'Bulloni di biella',
          printedText: '3,0 mkg',
          conditionText: 'oliati',
        },
        {
          id: 'demo-m-rod-stretch',
          page: '29',
          subject: 'Bulloni di biella',
          printedText: '0,12 a 0,14 mm',
          conditionText: null,
          kind: 'stretch',
        },
        {
          id: 'demo-m-cam-play',
          page: '35',
          subject: 'Gioco assiale albero a camme',
          printedText: '0,05 a 0,10 mm',
          conditionText: null,
          kind: 'end-float',
        },
        {
          id: 'demo-m-cover',
          page: '38',
          subject: 'Viti coperchio',
          printedText: '0,8 a 1,0 mkg',
          conditionText: null,
        },
        {
          id: 'demo-m-case',
          page: '31',
          subject: 'Viti carter',
          printedText: '0,9 mkg',
          conditionText: 'oliate',
        },
      ],
    },
  ],
  joints: [
    {
      id: 'demo-m-joint-head',
      leafId: 'demo-m-head',
      name: 'Cylinder head',
      pattern: 'ring',
      fasteners: 4,
      thread: 'M9×1',
      face_mm: [14.2, 9.8],
      originalFilm: 'engine-oil',
      originalFilmReason: 'the page says “oliati”',
      todayFilm: 'anti-seize',
      rangeSchool: 'middle',
      stageScheme: 'thirds',
      orderSchool: 'star',
      unitOfWork: 'row',
      turnShaft: true,
      wrenchId: 'demo-wrench-nm',
      retorqueSchool: 'slacken',
      detail: {
        original: { ...PLAIN_DETAIL.original, form: 'stud', grade: 'din-8g', metalThread: 'M9', locking: 'none' },
        today: {
          ...PLAIN_DETAIL.original, form: 'stud', thread: 'M9', outer_mm: 15, inner_mm: 9.8, faceMeasured: true, grade: 'iso-8.8-to-16-mm', metalThread: 'M9',
          length_mm: 118, threadLength_mm: 30, locking: 'none', socket: 'takes',
        },
        parent: { ...PLAIN_DETAIL.parent, metal: 'aluminium-cast', engagement_mm: 20, underHead: 'aluminium-treated', nearHeat: true },
      }, // prettier-ignore
      tightenings: [{ purpose: 'final', startedMinutesAgo: 13_020, minutesPerStep: 0.8, steps: 7 }],
    },
    {
      id: 'demo-m-joint-rods',
      leafId: 'demo-m-rods',
      name: 'Rod bolts',
      pattern: 'caps',
      fasteners: 4,
      thread: 'M8×1',
      originalFilm: 'engine-oil',
      originalFilmReason: 'the page says “oliati”',
      todayFilm: 'engine-oil',
      rangeSchool: 'middle',
      stageScheme: 'halves',
      orderSchool: 'centre-out',
      unitOfWork: 'each',
      turnShaft: true,
      wrenchId: 'demo-wrench-nm',
      retorqueSchool: 'none',
      detail: {
        original: { ...PLAIN_DETAIL.original, form: 'bolt', grade: 'iso-12.9' },
        parent: { ...PLAIN_DETAIL.parent, boreMoves: true },
        wrenchByHand: false,
      },
      boltSets: [rodBolts],
      tightenings: [],
    },
    {
      id: 'demo-m-joint-cover',
      leafId: 'demo-m-cover',
      name: 'Timing cover',
      pattern: 'free',
      fasteners: 7,
      thread: 'M6',
      originalFilm: 'engine-oil',
      originalFilmReason: 'the page does not say; taken as light oil, usual for period print',
      todayFilm: 'engine-oil',
      rangeSchool: 'low',
      stageScheme: 'halves',
      orderSchool: 'star',
      unitOfWork: 'row',
      turnShaft: false,
      wrenchId: 'demo-wrench-nm',
      retorqueSchool: 'none',
      // Seven screws where the casting has room for them; one is longer, and its hole meets the oilway.
      detail: {
        places: [
          [0, 38],
          [14, 6],
          [58, 0],
          [104, 12],
          [118, 52],
          [84, 88],
          [30, 84],
        ],
        placeNotes: [{ place: 4, kind: 'wet', words: 'the long one; it meets the oilway' }],
      },
      tightenings: [],
    },
    crankcase,
  ],
  cycles: caseRuns,
  meters: [
    { id: 'demo-m-meter-1', reads: 18_204, unit: 'km', minutesAgo: 37_800 },
    { id: 'demo-m-meter-2', reads: 18_409, unit: 'km', minutesAgo: 29_990 },
    { id: 'demo-m-meter-3', reads: 18_731, unit: 'km', minutesAgo: 21_990 },
  ],
  fits: maestraleFits,
  order: maestraleOrder,
};
