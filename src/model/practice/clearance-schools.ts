import type { HousePractice } from './house-practice';
import { school, type School } from './school';

/** Where what is wanted of a fit comes from: apart from the other questions, which no sheet of a fit asks. */
export const CLEARANCE_SCHOOLS: readonly School<HousePractice['clearance']>[] = [
  school('page', 'the page', 'the maker knew the oil, the metals and the heat'),
  school('rule', 'a rule on the measured diameter', 'serves where no figure is printed, or the shaft has been ground'),
  school('target', 'an own target inside the limits', 'what has lasted in this shop’s engines'),
];
