import { ask, stop, type Guard, type GuardInput } from './guard';
import { isLight } from './strip-load';

/** Films with copper or graphite in them: with a light alloy they make a cell that eats the thread. */
const GALVANIC: ReadonlySet<string> = new Set(['anti-seize', 'tallow-graphite']);
/** Films that soften, creep or give off fumes where it is hot. */
const NOT_NEAR_HEAT: ReadonlySet<string> = new Set(['wax-ptfe', 'ptfe-sealant', 'thread-locker']);
/** Nylon of a locking nut is good for 120 °C (ISO 2320); lockers and sealants for what their makers say, most for 150. */
const WARM_C = 120;
/** Cadmium makes steel brittle from there on. */
const CADMIUM_C = 230;

/** What is said of where it sits; as warm as that by its figure it is asked what its maker allows. */
function heatAt({ nearHeat, hottest_C }: GuardInput): 'near' | 'warm' | 'cool' | 'unsaid' {
  if (nearHeat) return 'near';
  if (hottest_C !== undefined && hottest_C >= WARM_C) return 'warm';
  return nearHeat === undefined && hottest_C === undefined ? 'unsaid' : 'cool';
}

/** Whether something on it, or what locks it, must not be near heat, and nobody said whether it is. */
export function isHeatUnasked(input: GuardInput): boolean {
  const { todayFilmId, headFilmId, locking } = input;
  const isTouchy = (id: string) => NOT_NEAR_HEAT.has(id) || id === 'cadmium-dry';
  return heatAt(input) === 'unsaid' && (locking === 'polymer-nut' || [todayFilmId, headFilmId].some(isTouchy));
}

/** What lets go near heat: stopped there, asked about where its figure says that it gets as warm. */
function heatGuards(input: GuardInput, code: string, near: string, warm: string): readonly Guard[] {
  const heat = heatAt(input);
  if (heat === 'near') return [stop(code, near)];
  if (heat !== 'warm') return [];
  return [ask(code, `It gets ${input.hottest_C ?? 0} °C there. ${warm}`)];
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
  const { todayFilmId, headFilmId, parent, underHead, nearHeat, hottest_C } = input;
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
    ...(films.some((id) => NOT_NEAR_HEAT.has(id))
      ? heatGuards(
          input,
          'film-near-heat',
          'Wax, PTFE, sealant and locker let go or give off fumes near heat. Take another lubricant there.',
          'Wax, PTFE, sealant and locker stand that only where their maker says so: read it off the packet.',
        )
      : []),
    ...(films.includes('cadmium-dry')
      ? [
          (nearHeat || (hottest_C ?? 0) > CADMIUM_C ? stop : ask)(
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
    ...(locking === 'polymer-nut'
      ? heatGuards(
          input,
          'polymer-near-heat',
          'A nut with a polymer insert does not stand near heat: the insert softens and lets go.',
          `A nut with a polymer insert is good for ${WARM_C} °C; above that the insert softens and lets go.`,
        )
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
