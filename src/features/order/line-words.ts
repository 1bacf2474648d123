import { seenWords } from '@/interface/words/seen-words';
import { ANSWER_WORDS, START_WORDS } from '@/interface/words/start-words';
import type { BuildLine } from '@/model/order/build-line';
import type { GateState } from '@/model/order/gate';

/** What a line did, in the words of the list of acts. */
export function lineWords({ order }: GateState, line: BuildLine): string {
  const step = 'stepId' in line ? `“${order.byId.get(line.stepId)?.step.name ?? 'A step'}”` : '';
  const part =
    'partId' in line ? `“${order.tray.find((one) => one.part.id === line.partId)?.part.name ?? 'A part'}”` : '';
  switch (line.kind) {
    case 'done':
      return `${step} was done${line.body.trial ? ' for trial' : ''}`;
    case 'undone':
      return `${step} was opened up again: ${line.body.reason}`;
    case 'looked':
      return `${step} was looked at: ${line.body.words}`;
    case 'exchanged':
      return `${step}: exchanged, ${line.body.words}`;
    case 'trial':
      return `A trial build was begun, up to “${order.byId.get(line.body.upTo)?.step.name ?? ''}”`;
    case 'stripped':
      return 'The trial build was taken apart';
    case 'cleaned':
      return 'What was tried was cleaned';
    case 'aid-in':
      return `${line.body.name} went in`;
    case 'aid-out':
      return `${order.aids.find(({ key }) => key === line.body.of)?.name ?? 'An aid'} came out`;
    case 'loose':
      return `Loose: ${line.body.words}`;
    case 'tight':
      return `Tight: ${order.loose.find(({ key }) => key === line.body.of)?.words ?? ''}${line.body.words ? `; ${line.body.words}` : ''}`;
    case 'swarf':
      return `Swarf was made: ${line.body.words}`;
    case 'turned':
      return `The crank was turned${line.body.words === '' ? '' : `: ${line.body.words}`}`;
    case 'start-look':
      return `First start, ${START_WORDS[line.body.check]}: ${ANSWER_WORDS[line.body.is]}`;
    case 'start-wrong':
      return `A start that went wrong: ${line.body.seen.map(seenWords).join('; ')}`;
    case 'start-passed':
      return `Started all the same: ${line.body.reason}`;
    case 'paused':
      return 'The work was laid still';
    case 'resumed':
      return 'The work was taken up again';
    case 'part-in':
      return `${line.body.count} × ${part} came`;
    case 'part-checked':
      return `${part} was checked`;
    case 'part-off':
      return `${line.body.count} × ${part} struck off: ${line.body.reason}`;
    case 'part-order':
      return `${part} was ordered: ${line.body.words}`;
    case 'strike':
      return 'A line of the order was cancelled';
  }
}
