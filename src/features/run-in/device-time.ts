/**
 * An hour that a device told, on the server's clock: as long before now as it was before the device sent it.
 * A device whose clock is wrong tells how long ago rightly all the same.
 */
export const onThisClock = (told: string, sentAt: string, now: number): number =>
  now - (Date.parse(sentAt) - Date.parse(told));
