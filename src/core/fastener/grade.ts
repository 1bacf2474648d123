import type { Provenance } from '@/core/film';

/** A strength grade, MPa. Proof is absent where its norm prints none. */
export interface Grade {
  readonly id: string;
  readonly name: string;
  readonly tensile_MPa: number;
  /** Yield, or 0.2 % proof stress. */
  readonly yield_MPa: number;
  readonly proof_MPa?: number;
  readonly provenance: Provenance;
  readonly source: string;
}

const TONF_PER_IN2_MPA = 15.444;
const KSI_MPA = 6.895;
const round = (value: number) => Math.round(value);

const idOf = (name: string) =>
  name
    .toLowerCase()
    .replace(/^(sae|british) /, '')
    .replace(/¾/g, '3-4')
    .replace(/[^a-z0-9.]+/g, '-');

type Row = readonly [name: string, tensile: number, yieldOrProof: number, proof?: number];

const family = (prefix: string, provenance: Provenance, source: string, rows: readonly Row[]): readonly Grade[] =>
  rows.map(([name, tensile_MPa, yield_MPa, proof_MPa]) => ({
    id: `${prefix}-${idOf(name)}`,
    name,
    tensile_MPa: round(tensile_MPa),
    yield_MPa: round(yield_MPa),
    ...(proof_MPa !== undefined && { proof_MPa: round(proof_MPa) }),
    provenance,
    source,
  }));

const ISO = family('iso', 'standard', 'ISO 898-1', [
  ['4.6', 400, 240, 225], ['4.8', 420, 340, 310], ['5.6', 500, 300, 280], ['5.8', 520, 420, 380], ['6.8', 600, 480, 440],
  ['8.8, to 16 mm', 800, 640, 580], ['8.8, above 16 mm', 830, 660, 600], ['9.8', 900, 720, 650], ['10.9', 1040, 940, 830], ['12.9', 1220, 1100, 970],
]); // prettier-ignore

const sae = (name: string, tensile: number, yieldPoint: number, proof: number): Row => [
  name,
  tensile * KSI_MPA,
  yieldPoint * KSI_MPA,
  proof * KSI_MPA,
];
const SAE = family('sae', 'standard', 'SAE J429', [
  sae('SAE 1', 60, 36, 33), sae('SAE 2, to ¾ in', 74, 57, 55), sae('SAE 2, above ¾ in', 60, 36, 33), sae('SAE 5, to 1 in', 120, 92, 85),
  sae('SAE 5, above 1 in', 105, 81, 74), sae('SAE 8', 150, 130, 120),
]); // prettier-ignore

const DIN = family('din', 'standard', 'Old DIN 267, in kgf/mm²: lower than the ISO class of like number', [
  ['4D', 392, 235], ['5D', 490, 275], ['5S', 490, 392], ['6D', 588, 353], ['6S', 588, 471], ['6G', 588, 530], ['8G', 785, 628],
  ['10K', 981, 883], ['12K', 1177, 1059],
]); // prettier-ignore

const letter = (name: string, tons: number, share: number): Row => [
  `British ${name}`,
  tons * TONF_PER_IN2_MPA,
  tons * TONF_PER_IN2_MPA * share,
];
const BRITISH = family('british', 'typical', 'British letters: tensile as printed in tonf/in²; the yield is a usual share of it, not printed', [
  letter('A', 28, 0.55), letter('B', 28, 0.55), letter('P', 35, 0.7), letter('Q', 40, 0.7), letter('R', 45, 0.8), letter('S', 50, 0.8),
  letter('T', 55, 0.8), letter('U', 60, 0.8), letter('V', 65, 0.8), letter('W', 70, 0.8), letter('X', 75, 0.8),
]); // prettier-ignore

const UNMARKED: Grade = {
  id: 'unmarked',
  name: 'Unmarked period bolt',
  tensile_MPa: 400,
  yield_MPa: 240,
  proof_MPa: 225,
  provenance: 'typical',
  source: 'Mild steel, treated as ISO 898-1 class 4.6 unless tested',
};

export const SHELF_GRADES: readonly Grade[] = [UNMARKED, ...ISO, ...SAE, ...DIN, ...BRITISH];

/** Proof stress to reckon with where the norm prints none: nine tenths of the yield, as ISO 898-1's classes have it. */
export const proofOf = ({ proof_MPa, yield_MPa }: Grade): number => proof_MPa ?? 0.9 * yield_MPa;
