/** What a figure is, wherever one is taken along. */
export const HELP_ALONE =
  'A figure reckoned here is help for a competent person, not authority over the manual or the maker of the part.';

/** What comes before anything that is said here, and what nothing here is meant for. */
export const COMES_FIRST = 'The manual, local rules and licensed trades come first.';
export const OUTSIDE = 'Aircraft engines and lifting gear are outside this tool.';
