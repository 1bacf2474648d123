import { KILOGRAM_FORCE_N, OUNCE_FORCE_N, POUND_FORCE_N, POUND_KG, TON_FORCE_N, INCH_M, FOOT_M } from './factors';
import { TORQUE_UNITS_NM } from './torque-units';

export type UnitKind = 'torque' | 'length' | 'force' | 'mass' | 'temperature' | 'volume' | 'pressure' | 'speed';

/** SI value = value × factor + offset. */
export interface Unit {
  readonly kind: UnitKind;
  readonly factor: number;
  readonly offset: number;
}

type Row = readonly [names: string, factor: number, offset?: number];

const INCH2 = INCH_M ** 2;
const PINT_M3 = 0.56826125e-3;
const US_GALLON_M3 = 231 * INCH_M ** 3;
const MILE_M = 1609.344;

/** Names are separated by `|`; the first is the one we print. Factors to m, N, kg, K, m³, Pa and m/s. */
const ROWS: Record<Exclude<UnitKind, 'torque'>, readonly Row[]> = {
  length: [
    ['m|metre|metres|meter|meters', 1],
    ['mm|millimetre|millimetres|millimeter|millimeters', 1e-3],
    ['cm|centimetre|centimetres|centimeter|centimeters', 1e-2],
    ['km|kilometre|kilometres|kilometer|kilometers', 1e3],
    ['µm|um|micron|microns|micrometre|micrometres', 1e-6],
    ['in|″|"|inch|inches', INCH_M],
    ['thou|mil|mils|thousandth|thousandths', INCH_M / 1000],
    ['ft|′|foot|feet', FOOT_M],
    ['yd|yard|yards', 0.9144],
    ['mi|mile|miles', MILE_M],
  ],
  force: [
    ['N|newton|newtons', 1],
    ['kN|kilonewton|kilonewtons', 1e3],
    ['daN|decanewton|decanewtons', 10],
    ['kgf|kp|kilopond|kiloponds', KILOGRAM_FORCE_N],
    ['gf|pond|ponds', KILOGRAM_FORCE_N / 1000],
    ['lbf|pound-force', POUND_FORCE_N],
    ['ozf|ounce-force', OUNCE_FORCE_N],
    ['tonf|ton-force', TON_FORCE_N],
  ],
  mass: [
    ['kg|kilogram|kilograms|kilogramme|kilogrammes', 1],
    ['g|gram|grams|gramme|grammes', 1e-3],
    ['t|tonne|tonnes', 1e3],
    ['lb|lbs|pound|pounds', POUND_KG],
    ['oz|ounce|ounces', POUND_KG / 16],
    ['cwt|hundredweight', POUND_KG * 112],
    ['ton|tons|long ton', POUND_KG * 2240],
  ],
  temperature: [
    ['K|kelvin', 1],
    ['°C|C|degC|celsius', 1, 273.15],
    ['°F|F|degF|fahrenheit', 5 / 9, 273.15 - (32 * 5) / 9],
  ],
  volume: [
    ['m³|m3', 1],
    ['L|litre|litres|liter|liters|dm³|dm3', 1e-3],
    ['cc|cm³|cm3|ml|millilitre|millilitres', 1e-6],
    ['mm³|mm3', 1e-9],
    ['cu in|cuin|in³|in3|cubic inch|cubic inches', INCH_M ** 3],
    ['pint|pt|pints|imp pint', PINT_M3],
    ['quart|qt|quarts|imp quart', PINT_M3 * 2],
    ['gallon|gal|gallons|imp gallon|imp gal', PINT_M3 * 8],
    ['fl oz|floz|fluid ounce|fluid ounces', PINT_M3 / 20],
    ['US gallon|US gal', US_GALLON_M3],
    ['US quart|US qt', US_GALLON_M3 / 4],
    ['US pint|US pt', US_GALLON_M3 / 8],
    ['US fl oz', US_GALLON_M3 / 128],
  ],
  pressure: [
    ['Pa|pascal|pascals|N/m²|N/m2', 1],
    ['kPa', 1e3],
    ['MPa|N/mm²|N/mm2', 1e6],
    ['GPa', 1e9],
    ['bar|bars', 1e5],
    ['mbar|hPa', 100],
    ['atm', 101_325],
    ['kgf/cm²|kgf/cm2|kg/cm²|kg/cm2|kp/cm²|kp/cm2|at', KILOGRAM_FORCE_N / 1e-4],
    ['kgf/mm²|kgf/mm2|kg/mm²|kg/mm2|kp/mm²|kp/mm2', KILOGRAM_FORCE_N / 1e-6],
    ['psi|lbf/in²|lbf/in2|lb/in²|lb/in2|lb/sq in', POUND_FORCE_N / INCH2],
    ['ksi', (1000 * POUND_FORCE_N) / INCH2],
    ['tonf/in²|tonf/in2|ton/in²|ton/in2|tons/in²|tons/sq in', TON_FORCE_N / INCH2],
    ['mmHg|torr', 101_325 / 760],
    ['inHg', (25.4 * 101_325) / 760],
  ],
  speed: [
    ['m/s', 1],
    ['km/h|kph|kmh', 1 / 3.6],
    ['mph|mile/h|miles per hour', MILE_M / 3600],
    ['ft/s', FOOT_M],
    ['ft/min', FOOT_M / 60],
  ],
};

const buildTable = (): ReadonlyMap<string, Unit> => {
  const table = new Map<string, Unit>();
  for (const [name, factor] of Object.entries(TORQUE_UNITS_NM)) table.set(name, { kind: 'torque', factor, offset: 0 });
  for (const [kind, rows] of Object.entries(ROWS) as [UnitKind, readonly Row[]][])
    for (const [names, factor, offset = 0] of rows)
      for (const name of names.split('|')) table.set(name, { kind, factor, offset });
  return table;
};

export const UNIT_TABLE = buildTable();
