import { ask, stop, type Guard, type GuardInput } from './guard';
import { isLight } from './strip-load';

/** Films with copper or graphite in them: with a light alloy they make a cell that eats the thread. */
const GALVANIC: ReadonlySet<string> = new Set(['anti-seize', 'tallow-graphite']);
/** Films that soften, creep or give off fumes where it is hot. */
const NOT_NEAR_HEAT: ReadonlySet<string> = new Set(['wax-ptfe', 'ptfe-sealant', 'thread-locker']);
/** Nylon of a locking nut is good for 120 °C (ISO 7040 and what its makers say); lockers and waxes let go from there on. */
const HEAT_C = 120;

/** What is said of where it sits, or as hot as that: undefined where neither is known. */
const isNearHeat = ({ nearHeat, hottest_C }: GuardInput): boolean | undefined =>
  nearHeat === true || (hottest_C !== undefined && hottest_C >= HEAT_C)
    ? true
    : (nearHeat ?? (hottest_C === undefined ? undefined : false));

/** Whether something on it, or what locks it, must not be near heat, and nobody said whether it is. */
export function isHeatUnasked(input: GuardInput): boolean {
  const { todayFilmId, headFilmId, locking } = input;
  const isTouchy = (id: string) => NOT_NEAR_HEAT.has(id) || id === 'cadmium-dry';
  return (locking === 'polymer-nut' || [todayFilmId, headFilmId].some(isTouchy)) && isNearHeat(input) === undefined;
}

const OILY: ReadonlySet<string> = new Set([
  'engine-oil',
  'moly-paste',
  'anti-seize',
  'tallow-graphite',
  'wax-ptfe',
  'zinc-oiled',
  'phosphate-oil',
]);

function bookGuards({ bookSays, bookFilmId, todayFilmId, makerFilm }: GuardInput): readonly Guard[] {
  if (makerFilm && makerFilm.id !== todayFilmId)
    return [
      ask(
        'maker-film',
        `The maker’s figure holds in ${makerFilm.name.toLowerCase()} only; another lubricant is chosen for today.`,
      ),
    ];
  if (bookSays === null || todayFilmId !== 'thread-locker' || bookFilmId !== 'dry-bare') return [];
  return [stop('film-not-allowed', `The book says “${bookSays}”; thread locker is not what it means.`)];
}

function whereGuards(input: GuardInput): readonly Guard[] {
  const { todayFilmId, headFilmId, parent, underHead } = input;
  const nearHeat = isNearHeat(input);
  const films = [todayFilmId, headFilmId];
  const light = [
    ...(todayFilmId !== '' && parent?.metal ? [parent.metal] : []),
    ...(underHead ? [underHead] : []),
  ].find(isLight);
  return [
    ...(light && films.some((id) => GALVANIC.has(id))
      ? [
          (/magnes/i.test(light.name) ? stop : ask)(
            'galvanic-paste',
            `Where damp gets in, copper or graphite paste eats the thread in ${light.name.toLowerCase()}. Take a paste without either.`,
          ),
        ]
      : []),
    ...(nearHeat && films.some((id) => NOT_NEAR_HEAT.has(id))
      ? [
          stop(
            'film-near-heat',
            'Wax, PTFE, sealant and locker let go or give off fumes near heat. Take another lubricant there.',
          ),
        ]
      : []),
    ...(films.includes('cadmium-dry')
      ? [
          (nearHeat ? stop : ask)(
            'cadmium',
            'Cadmium is poisonous: it is not heated, wire-brushed or ground, and above 230 °C it makes steel brittle. Gloves, and the plated parts to those who are licensed for them.',
          ),
        ]
      : []),
  ];
}

function lockingGuards(input: GuardInput): readonly Guard[] {
  const { today, locking, seating_Nm, todayFilmId } = input;
  const most = today.prevailing?.high_Nm ?? 0;
  const insert = input.form === 'stud' ? (input.parent?.insert?.torque_Nm ?? 0) : 0;
  return [
    ...(seating_Nm !== undefined && insert >= seating_Nm
      ? [
          ask(
            'insert-above-seating',
            `The thread insert turns at up to ${insert} N·m by itself and the stud is seated with ${seating_Nm} N·m: it stands at depth only if it was measured there.`,
          ),
        ]
      : []),
    ...(seating_Nm !== undefined && most > seating_Nm
      ? [
          ask(
            'prevailing-above-seating',
            `The nut’s own torque of up to ${most} N·m is above the stud’s seating figure of ${seating_Nm} N·m: the stud can turn with it.`,
          ),
        ]
      : []),
    ...(locking === 'polymer-nut' && isNearHeat(input)
      ? [
          stop(
            'polymer-near-heat',
            'A nut with a polymer insert does not stand near heat: the insert softens and lets go.',
          ),
        ]
      : []),
    ...(locking === 'compound' && OILY.has(todayFilmId)
      ? [
          stop(
            'locker-in-oil',
            'It is locked with a compound, and the thread is oiled or pasted: a locker does not hold there, and it is the locker that slips. Clean the thread, and reckon in the locker, wet.',
          ),
        ]
      : []),
  ];
}

/** What stands against what is on the thread, and against what locks it. */
export const filmGuards = (input: GuardInput): readonly Guard[] =>
  [bookGuards, whereGuards, lockingGuards].flatMap((look) => look(input));
