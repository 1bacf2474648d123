/** So many lines are sent and taken at once: as many as an afternoon out of reach makes. More follow after them. */
export const MOST_TOGETHER = 200;
