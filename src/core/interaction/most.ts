/** So many fasteners one part can have here. */
export const MAX_INTERACTING = 120;
