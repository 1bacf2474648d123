export type { Film, Friction, Provenance } from './film';
export { SHELF_FILMS } from './shelf-films';
export { filmOfCondition } from './film-of-condition';
