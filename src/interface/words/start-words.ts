import { START_CHECKS, type StartAnswer, type StartCheck } from '@/model/order/start-checks';
import { choices } from './choices';

/** What is looked at before a first start, in short. */
export const START_WORDS: Readonly<Record<StartCheck, string>> = {
  oil: 'oil in',
  primed: 'oil pressure without firing',
  water: 'water in and bled',
  fuel: 'fuel tight',
  timing: 'timing',
  covers: 'covers, aids and tools',
  turned: 'turned by hand',
  extinguisher: 'fire extinguisher',
  doors: 'fumes',
  watch: 'who watches the oil pressure',
};

/** What each of them asks for. */
export const START_CHECK_CHOICES = choices(START_CHECKS, {
  oil: 'Oil in, to its mark, and what else the book fills by hand: oil bath, pump, gearbox',
  primed:
    'Oil pressure raised without firing: plugs out, on the starter or by hand; seen at the gauge or at the rockers',
  water: 'Water in and bled; no drop at hoses, core plugs, pump',
  fuel: 'Fuel lines tight, and a way to shut it that is within reach',
  timing: 'Timing set, and looked at a second time; firing order and leads traced',
  covers: 'Covers and guards on; aids, plugs, rags and locks out; tools off it',
  turned: 'Turned twice round by hand, plugs out: nothing touches',
  extinguisher: 'Fire extinguisher at hand, and somebody who knows where it is',
  doors: 'Doors open, exhaust led outside, nobody in line with the fan',
  watch: 'Somebody at the gauge: pressure within a minute, or it is stopped',
});

export const ANSWER_WORDS: Readonly<Record<StartAnswer, string>> = {
  done: 'looked at',
  none: 'it has none',
  'left-out': 'left out',
};
