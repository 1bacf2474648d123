/** Where the skip link leads: the sheet of the screen. */
export const SHEET = 'sheet';
