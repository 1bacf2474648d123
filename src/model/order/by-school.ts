import type { HousePractice } from '@/model/practice/house-practice';
import { schoolWords } from '@/model/practice/practice-questions';
import type { BySchool, StartStep } from './starts/start-step';
import type { StepDetail, Surface } from './step';

type Said = Partial<Pick<StepDetail, 'surfaces' | 'kit' | 'makes'>> & {
  readonly caution?: string;
  /** What the words of the step begin with, before the school and its reason. */
  readonly what: string;
};

const surface = (what: string, on: string, much = '', sets = ''): Surface => ({ what, on, much, sets });

const SEAT = 'seat of the seal';

/** What each school does to a step. */
const SAYS: {
  readonly [Row in BySchool]: Readonly<Record<HousePractice[Row], Said>>;
} = {
  shellBacks: {
    dry: { what: 'Shell backs', surfaces: [surface('nothing: dry', 'back of the shell and its seat')] },
    'lightly-oiled': {
      what: 'Shell backs',
      surfaces: [surface('engine oil', 'back of the shell', 'wiped on and off again')],
      caution: 'Oil that cannot get out from behind a shell holds it off its seat: read the clearance as it lies.',
    },
  },
  handling: {
    gloves: { what: 'Bearings handled', kit: ['clean gloves'] },
    'clean-hands': { what: 'Bearings handled', kit: ['soap, and a clean towel'] },
  },
  sealSeats: {
    compound: {
      what: 'Seats of seals',
      surfaces: [surface('jointing compound', SEAT, 'a thin film', 'fit while it is wet')],
      makes: ['sealant'],
    },
    cement: {
      what: 'Seats of seals',
      surfaces: [surface('gasket cement', SEAT, 'a thin film', 'fit while it is wet')],
      makes: ['sealant'],
    },
    dry: { what: 'Seats of seals', surfaces: [surface('nothing: dry', SEAT)] },
  },
};

type Decided = Pick<StepDetail, 'surfaces' | 'kit' | 'makes' | 'caution' | 'words'>;

const sentences = (...parts: readonly string[]): string => parts.filter((part) => part !== '').join(' ');

/** A step as the shop does it: what its practice decides of it, with the school that did. */
export function bySchool({ by, ...step }: Decided & Pick<StartStep, 'by'>, practice: HousePractice): Decided {
  return by.reduce<Decided>((done, row) => {
    const said = SAYS[row][practice[row] as never] as Said;
    const { name, reason } = schoolWords(practice, row);
    return {
      surfaces: [...(said.surfaces ?? []), ...done.surfaces],
      kit: [...done.kit, ...(said.kit ?? [])],
      makes: [...new Set([...done.makes, ...(said.makes ?? [])])],
      caution: sentences(done.caution, said.caution ?? ''),
      words: sentences(done.words, `${said.what} ${name}, by house practice: ${reason}.`),
    };
  }, step);
}
