/** Without marks and capitals, as it may be typed: “norrhem” is “Norrhém”. */
export const plainWords = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
