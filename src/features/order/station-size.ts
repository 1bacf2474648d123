/** A station with its name beside it, px: apart from what lays the line out, which no page needs to draw it. */
export const STATION = { width: 208, height: 52 } as const;
