import { newKind } from '@/model/joint/fastener-kind';
import { PLAIN_DETAIL, type JointDetail } from '@/model/joint/joint-detail';
import { usualFaceOf } from '@/model/joint/joint-result';
import { norrhemFits } from './norrhem-fits';
import { norrhemOrder } from './orders';
import type { YardEngine } from './load-yard';

const OILED = {
  originalFilm: 'engine-oil',
  originalFilmReason: 'the page says “leicht geölt”',
  todayFilm: 'engine-oil',
  rangeSchool: 'middle',
  stageScheme: 'halves',
  wrenchId: 'demo-wrench-nm',
} as const;

const housingDetail: JointDetail = {
  ...PLAIN_DETAIL,
  original: { ...PLAIN_DETAIL.original, form: 'bolt', grade: 'din-8g' },
  places: [
    [0, 60],
    [30, 8],
    [95, 0],
    [160, 8],
    [190, 60],
    [165, 150],
    [95, 172],
    [25, 150],
  ],
  placeNotes: [{ place: 2, kind: 'wet', words: 'sealant on the thread' }],
};

const small = usualFaceOf('M8');

/** The two small ones at the foot of the housing. */
const housingSmall = newKind(
  {
    ...OILED,
    detail: housingDetail,
    leafId: 'demo-n-housing-small',
    thread: 'M8',
    bearingOuter_mm: small.outer_mm,
    bearingInner_mm: small.inner_mm,
    bearingMeasured: false,
  },
  'Small bolts',
  [5, 7],
);

/** V4 two-stroke of 1962: parts being checked in, the book open, nothing tight yet. */
export const norrhem: YardEngine = {
  id: 'demo-norrhem',
  name: 'Norrhem N3',
  kind: 'car',
  year: 1962,
  engineNumber: 'N3-6-00871',
  headMetal: 'aluminium',
  blockMetal: 'aluminium',
  preferredUnit: 'N·m',
  sources: [
    {
      id: 'demo-norrhem-manual',
      title: 'Norrhem N3, Werkstatthandbuch',
      edition: '3. Auflage',
      year: 1962,
      leaves: [
        {
          id: 'demo-n-mains',
          page: '12',
          subject: 'Kurbelwellenlager',
          printedText: '5,5 bis 6 mkp',
          conditionText: 'geölt',
        },
        {
          id: 'demo-n-mains-play',
          page: '12',
          subject: 'Kurbelwellenlager, Laufspiel',
          printedText: '0,03 bis 0,06 mm',
          conditionText: null,
          kind: 'clearance',
        },
        {
          id: 'demo-n-heads',
          page: '19',
          subject: 'Zylinderkopfmuttern',
          printedText: '3,2 mkp',
          conditionText: 'trocken',
        },
        {
          id: 'demo-n-housing',
          page: '31',
          subject: 'Getriebeglocke, Schrauben M10',
          printedText: '4,5 mkp',
          conditionText: 'leicht geölt',
        },
        {
          id: 'demo-n-housing-small',
          page: '31',
          subject: 'Getriebeglocke, Schrauben M8',
          printedText: '2,2 mkp',
          conditionText: 'leicht geölt',
        },
        {
          id: 'demo-n-flywheel',
          page: '23',
          subject: 'Schwungradmutter',
          printedText: '¼ Umdrehung',
          conditionText: null,
        },
      ],
    },
  ],
  joints: [
    {
      id: 'demo-n-joint-mains',
      leafId: 'demo-n-mains',
      name: 'Main bearings',
      pattern: 'caps',
      fasteners: 6,
      thread: 'M10',
      originalFilm: 'engine-oil',
      originalFilmReason: 'the page says “geölt”',
      todayFilm: 'engine-oil',
      rangeSchool: 'low',
      stageScheme: [0.35, 0.7, 1],
      orderSchool: 'centre-out',
      unitOfWork: 'row',
      turnShaft: true,
      wrenchId: 'demo-wrench-nm',
      retorqueSchool: 'none',
      detail: { original: { ...PLAIN_DETAIL.original, form: 'bolt', grade: 'din-10k' } },
      tightenings: [{ purpose: 'trial', startedMinutesAgo: 2960, minutesPerStep: 1 }],
    },
    {
      id: 'demo-n-joint-heads',
      leafId: 'demo-n-heads',
      name: 'Cylinder heads',
      pattern: 'rows',
      fasteners: 8,
      thread: 'M8',
      originalFilm: 'dry-bare',
      originalFilmReason: 'the page says “trocken”',
      todayFilm: 'moly-paste',
      rangeSchool: 'middle',
      stageScheme: 'thirds',
      orderSchool: 'centre-out',
      unitOfWork: 'row',
      turnShaft: false,
      wrenchId: 'demo-wrench-nm',
      retorqueSchool: 'slacken',
      detail: {
        original: { ...PLAIN_DETAIL.original, form: 'stud', grade: 'din-8g', metalThread: 'M8', locking: 'none', seating_Nm: 4 },
        today: {
          ...PLAIN_DETAIL.original, form: 'stud', thread: 'M8', outer_mm: 12.6, inner_mm: 9, faceMeasured: true, grade: 'iso-10.9', metalThread: 'M8', seating_Nm: 4,
          locking: 'metal-nut', prevailingLow_Nm: 1.5, prevailingHigh_Nm: 3, socket: 'not-tried',
        },
        maker: { text: '22 Nm', film: 'moly-paste', source: 'Packet of the nuts, print on the label' },
        parent: { ...PLAIN_DETAIL.parent, metal: 'aluminium-treated', engagement_mm: 18, nearHeat: true },
        confirming: true,
        wrenchByHand: false,
      }, // prettier-ignore
      tightenings: [],
    },
    {
      id: 'demo-n-joint-housing',
      leafId: 'demo-n-housing',
      name: 'Gearbox housing',
      pattern: 'free',
      fasteners: 8,
      ...OILED,
      thread: 'M10',
      orderSchool: 'centre-out',
      unitOfWork: 'row',
      turnShaft: false,
      retorqueSchool: 'none',
      detail: { ...housingDetail, kinds: [housingSmall] },
      tightenings: [],
    },
  ],
  cycles: [],
  fits: norrhemFits,
  order: norrhemOrder,
};
