const AXIS_PX = 60;

/** How high a chart of bands is: its place is kept before it is drawn, so that nothing below moves under a finger. */
export const bandHeight = (rows: number, rowHeight: number): number => rows * rowHeight + AXIS_PX;
