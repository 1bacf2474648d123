'use client';

import { NativeSelect } from '@mantine/core';
import { threadNamed } from '@/core/thread';
import { boltStiffness } from '@/model/joint/bolt-stiffness';
import { GASKETS, HEADS, type ClampMapFacts } from '@/model/joint/clamp-map-facts';
import { todayFacts } from '@/model/joint/joint-ladder';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { Joint } from '@/model/joint/joint';
import { tryCore } from '@/model/try-core';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';

/** Facts as they stand in their fields: what nobody said yet is null. */
export type Draft = { readonly [Field in keyof ClampMapFacts]: ClampMapFacts[Field] | null };

const TYPICAL_MARGIN_MM = 20;
const NOTHING: Draft = {
  head: null,
  gasket: null,
  E_GPa: null,
  poisson: null,
  depth_mm: null,
  solid: null,
  foundation_N_per_mm3: null,
  unloading: null,
  pitch_mm: null,
  margin_mm: TYPICAL_MARGIN_MM,
  boltStiffness_N_per_mm: null,
};

/** Whether all is said; of a joint in no pattern its places say how far they lie apart. */
export const isWhole = (draft: Draft, { pattern }: Pick<Joint, 'pattern'>): draft is ClampMapFacts =>
  Object.entries(draft).every(([field, value]) => value !== null || (field === 'pitch_mm' && pattern === 'free'));

/** What is known already stands in its field: the stiffness of a fastener whose grip was measured. */
export function begun(setting: JointInputs): Draft {
  const { joint } = setting;
  if (joint.detail.clampMap) return joint.detail.clampMap;
  const { grip_mm } = joint.detail.parent;
  const thread = tryCore(() => threadNamed(todayFacts(setting).thread));
  return {
    ...NOTHING,
    boltStiffness_N_per_mm:
      grip_mm !== null && thread.ok
        ? Math.round(boltStiffness(thread.result.stressArea_mm2, grip_mm, thread.result.major_mm) / 1000) * 1000
        : null,
  };
}

const CHOOSE = { value: '', label: 'Choose…' };

interface Props {
  readonly draft: Draft;
  readonly joint: Joint;
  /** How often it was begun anew: its cells then show what stands. */
  readonly round: number;
  readonly onDraft: (part: Partial<Draft>) => void;
}

/** What the model is given, each on view and to be changed. */
export function ClampMapInputs({ draft, joint, round, onDraft }: Props) {
  const number = (label: string, field: keyof Draft, description?: string, zero = false) => (
    <MeasureField
      key={`${field} ${draft.head} ${draft.gasket} ${round}`}
      kind="number"
      zero={zero}
      label={label}
      description={description}
      value={draft[field] as number | null}
      onChange={(value) => onDraft({ [field]: value })}
    />
  );
  return (
    <div className={form.grid}>
      <NativeSelect
        className={form.double}
        label="What is clamped"
        description="Its figures stand below, and stand typical"
        data={[CHOOSE, ...HEADS.map(({ id, name }) => ({ value: id, label: name }))]}
        value={draft.head ?? ''}
        onChange={(event) => {
          const preset = HEADS.find(({ id }) => id === event.currentTarget.value);
          if (preset) onDraft({ head: preset.id, ...preset.facts });
        }}
      />
      <NativeSelect
        className={form.double}
        label="On what it lies"
        data={[CHOOSE, ...GASKETS.map(({ id, name }) => ({ value: id, label: name }))]}
        value={draft.gasket ?? ''}
        onChange={(event) => {
          const preset = GASKETS.find(({ id }) => id === event.currentTarget.value);
          if (preset) onDraft({ gasket: preset.id, ...preset.facts });
        }}
      />
      {number('Modulus E, GPa', 'E_GPa')}
      {number('Poisson’s ratio', 'poisson')}
      {number('Depth, mm', 'depth_mm')}
      {number('Solid share', 'solid', 'Of its bending stiffness: 1 is solid')}
      {number('Bedding, N/mm³', 'foundation_N_per_mm3', 'Gasket and block together')}
      {number('Springs back stiffer, times', 'unloading', '1: it gives as much either way; 3 to 10 of a soft gasket')}
      {joint.pattern !== 'free' && number('Pitch, mm', 'pitch_mm', 'Between neighbours')}
      {number('Margin, mm', 'margin_mm', 'From the outermost to the edge; 20 stands typical', true)}
      {number('Fastener, N/mm', 'boltStiffness_N_per_mm', 'Known once its grip is')}
    </div>
  );
}
