/** Stress areas in mm², ISO 898-1, coarse series. */
export const ISO_898_1_COARSE: readonly (readonly [string, number])[] = [
  ['M3', 5.03], ['M3.5', 6.78], ['M4', 8.78], ['M5', 14.2], ['M6', 20.1], ['M7', 28.9], ['M8', 36.6], ['M10', 58.0], ['M12', 84.3],
  ['M14', 115], ['M16', 157], ['M18', 192], ['M20', 245], ['M22', 303], ['M24', 353], ['M27', 459], ['M30', 561], ['M33', 694], ['M36', 817], ['M39', 976],
]; // prettier-ignore

/** Stress areas in mm², ISO 898-1, fine series. */
export const ISO_898_1_FINE: readonly (readonly [string, number])[] = [
  ['M8x1', 39.2], ['M10x1.25', 61.2], ['M10x1', 64.5], ['M12x1.5', 88.1], ['M12x1.25', 92.1], ['M14x1.5', 125], ['M16x1.5', 167],
  ['M18x1.5', 216], ['M20x1.5', 272], ['M22x1.5', 333], ['M24x2', 384], ['M27x2', 496], ['M30x2', 621], ['M33x2', 761], ['M36x3', 865], ['M39x3', 1030],
]; // prettier-ignore

/** Stress areas in in², ASME B1.1. */
export const ASME_B1_1: readonly (readonly [string, number])[] = [
  ['1/4-20 UNC', 0.0318], ['5/16-18 UNC', 0.0524], ['3/8-16 UNC', 0.0775], ['7/16-14 UNC', 0.1063], ['1/2-13 UNC', 0.1419],
  ['9/16-12 UNC', 0.182], ['5/8-11 UNC', 0.226], ['3/4-10 UNC', 0.334], ['7/8-9 UNC', 0.462], ['1-8 UNC', 0.606],
  ['1/4-28 UNF', 0.0364], ['5/16-24 UNF', 0.058], ['3/8-24 UNF', 0.0878], ['7/16-20 UNF', 0.1187], ['1/2-20 UNF', 0.1599],
  ['9/16-18 UNF', 0.203], ['5/8-18 UNF', 0.256], ['3/4-16 UNF', 0.373], ['7/8-14 UNF', 0.509], ['1-12 UNF', 0.663],
  ['No. 4 UNC', 0.00604], ['No. 6 UNC', 0.00909], ['No. 8 UNC', 0.014], ['No. 10 UNC', 0.0175], ['No. 10 UNF', 0.02], ['No. 12 UNC', 0.0242],
]; // prettier-ignore

/** Effective and minor diameters in inches, BS 84. */
export const BS_84: readonly (readonly [string, number, number])[] = [
  ['1/4 BSW', 0.218, 0.186], ['5/16 BSW', 0.2769, 0.2413], ['3/8 BSW', 0.335, 0.295], ['7/16 BSW', 0.3918, 0.346], ['1/2 BSW', 0.4466, 0.3932],
  ['9/16 BSW', 0.5091, 0.4557], ['5/8 BSW', 0.5668, 0.5086], ['3/4 BSW', 0.686, 0.622],
  ['1/4 BSF', 0.2254, 0.2008], ['5/16 BSF', 0.2834, 0.2543], ['3/8 BSF', 0.343, 0.311], ['7/16 BSF', 0.4019, 0.3664], ['1/2 BSF', 0.46, 0.42],
  ['9/16 BSF', 0.5225, 0.4825], ['5/8 BSF', 0.5793, 0.5336], ['3/4 BSF', 0.6966, 0.6433],
]; // prettier-ignore

/** Effective and minor diameters in mm, BS 93. */
export const BS_93: readonly (readonly [string, number, number])[] = [
  ['0 BA', 5.4, 4.8], ['1 BA', 4.76, 4.22], ['2 BA', 4.215, 3.73], ['3 BA', 3.66, 3.22], ['4 BA', 3.205, 2.81], ['5 BA', 2.845, 2.49], ['6 BA', 2.48, 2.16],
]; // prettier-ignore
