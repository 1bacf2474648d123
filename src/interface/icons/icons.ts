// Written by scripts/cut-icons.mjs; the licence of the signs is beside it.
import { sign } from './sign';

export const IconArrowDown = sign(['M12 5l0 14', 'M18 13l-6 6', 'M6 13l6 6']);
export const IconArrowLeft = sign(['M5 12l14 0', 'M5 12l6 6', 'M5 12l6 -6']);
export const IconArrowRight = sign(['M5 12l14 0', 'M13 18l6 -6', 'M13 6l6 6']);
export const IconArrowUp = sign(['M12 5l0 14', 'M18 11l-6 -6', 'M6 11l6 -6']);
export const IconBooks = sign([
  'M5 5a1 1 0 0 1 1 -1h2a1 1 0 0 1 1 1v14a1 1 0 0 1 -1 1h-2a1 1 0 0 1 -1 -1l0 -14',
  'M9 5a1 1 0 0 1 1 -1h2a1 1 0 0 1 1 1v14a1 1 0 0 1 -1 1h-2a1 1 0 0 1 -1 -1l0 -14',
  'M5 8h4',
  'M9 16h4',
  'M13.803 4.56l2.184 -.53c.562 -.135 1.133 .19 1.282 .732l3.695 13.418a1.02 1.02 0 0 1 -.634 1.219l-.133 .041l-2.184 .53c-.562 .135 -1.133 -.19 -1.282 -.732l-3.695 -13.418a1.02 1.02 0 0 1 .634 -1.219l.133 -.041',
  'M14 9l4 -1',
  'M16 16l3.923 -.98',
]);
export const IconContrast2 = sign([
  'M3 5a2 2 0 0 1 2 -2h14a2 2 0 0 1 2 2v14a2 2 0 0 1 -2 2h-14a2 2 0 0 1 -2 -2l0 -14',
  'M3 19h2.25c3.728 0 6.75 -3.134 6.75 -7s3.022 -7 6.75 -7h2.25',
]);
export const IconKeyboard = sign([
  'M2 8a2 2 0 0 1 2 -2h16a2 2 0 0 1 2 2v8a2 2 0 0 1 -2 2h-16a2 2 0 0 1 -2 -2l0 -8',
  'M6 10l0 .01',
  'M10 10l0 .01',
  'M14 10l0 .01',
  'M18 10l0 .01',
  'M6 14l0 .01',
  'M18 14l0 .01',
  'M10 14l4 .01',
]);
export const IconRuler2 = sign([
  'M17 3l4 4l-14 14l-4 -4l14 -14',
  'M16 7l-1.5 -1.5',
  'M13 10l-1.5 -1.5',
  'M10 13l-1.5 -1.5',
  'M7 16l-1.5 -1.5',
]);
export const IconSearch = sign(['M3 10a7 7 0 1 0 14 0a7 7 0 1 0 -14 0', 'M21 21l-6 -6']);
