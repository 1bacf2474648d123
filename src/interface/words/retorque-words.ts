import type { RetorqueSchool, RetorqueState } from '@/core/heat';
import type { Joint } from '@/model/joint/joint';
import type { GasketSays } from '@/model/joint/joint-detail';
import { stagesText } from '@/model/heat/retorque-rule';

export const RETORQUE_WORDS: Readonly<Record<RetorqueSchool, string>> = {
  slacken: 'Cold; slacken each a little, pull again',
  straight: 'Cold; straight pull',
  warm: 'Warm, where the book says so',
  none: 'Not gone over again',
};

export const GASKET_WORDS: Readonly<Record<GasketSays, string>> = {
  unread: 'Not looked yet',
  nothing: 'Nothing of it',
  retorque: 'To go over it',
  'no-retorque': 'Not to go over it',
};

interface Asked {
  readonly joint: Pick<Joint, 'retorqueSchool' | 'detail'>;
  readonly retorque: Pick<RetorqueState, 'state'>;
}

/** How a joint is gone over again, when, and by whose word, as a record prints it; nothing of one that never is. */
export function retorqueRule({ joint, retorque }: Asked): readonly string[] {
  const { retorqueSchool, detail } = joint;
  const { again, gasketSays, retorqueSource, warm, slackenBy_deg } = detail;
  if (retorqueSchool === 'none') return [];
  if (gasketSays === 'no-retorque') return ['Not gone over: its gasket says so.'];
  // Left by an angle, whatever its sheet says.
  if (retorque.state === 'not-asked') return [];
  const by = retorqueSchool === 'slacken' && slackenBy_deg !== null ? ` (by ${slackenBy_deg}°)` : '';
  return [
    `${RETORQUE_WORDS[retorqueSchool]}${by}; after ${stagesText(again) || 'the first heat'}.`,
    ...(retorqueSchool === 'warm' && warm ? [`At ${warm.head_C} °C, by ${warm.page}.`] : []),
    gasketSays === 'unread'
      ? 'What its gasket prints of it was not read.'
      : `Its gasket prints: ${GASKET_WORDS[gasketSays].toLowerCase()}.`,
    ...(retorqueSource === '' ? [] : [`By: ${retorqueSource}.`]),
  ];
}
