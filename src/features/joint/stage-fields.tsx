import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import form from '@/interface/parts/form.module.css';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import { useOutside } from '@/interface/parts/use-outside';
import { SCHEMES, schemeOfFigures } from './joint-words';
import type { JointChange } from './schema';

interface Props {
  readonly joint: Joint;
  readonly unit: string;
  readonly stageFigures: readonly number[];
  readonly onChange: (part: JointChange) => void;
}

/** Figures as the page lists them: typed in the wrench's unit, kept as shares of the last. */
function TypedStages({ joint, stageFigures, unit, onChange }: Props) {
  const standing = stageFigures.join(' ');
  // As it was typed, until what stands is no more of that.
  const [typed, setTyped] = useState<string>();
  const wrote = useOutside(JSON.stringify(joint.stageScheme), () => setTyped(undefined));
  const text = typed ?? standing;
  const scheme = schemeOfFigures(text);
  return (
    <TextInput
      label={`Figures as printed, ${unit}`}
      description="With spaces between; the last is the final figure"
      value={text}
      error={scheme ? undefined : 'Give figures that rise, such as 12 24 36.'}
      onChange={(event) => {
        const next = event.currentTarget.value;
        setTyped(next);
        const shares = schemeOfFigures(next);
        if (!shares) return;
        wrote(JSON.stringify(shares));
        onChange({ stageScheme: shares });
      }}
    />
  );
}

/** Whether all is gone over once more at the final figure. */
export const ConfirmingField = ({
  joint,
  onDetail,
}: {
  readonly joint: Joint;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}) => (
  <label className={form.choice}>
    <input
      type="checkbox"
      checked={joint.detail.confirming}
      onChange={(event) => onDetail({ confirming: event.currentTarget.checked })}
    />
    <span>A confirming round at the final figure</span>
  </label>
);

/** In how many stages, and which. */
export function StageFields({ joint, unit, stageFigures, onChange }: Props) {
  const named = typeof joint.stageScheme === 'string' ? joint.stageScheme : 'typed';
  const choose = (value: string) =>
    onChange({
      stageScheme:
        value === 'typed' ? (schemeOfFigures(stageFigures.join(' ')) ?? 'thirds') : (value as Joint['stageScheme']),
    });
  return (
    <>
      <NativeSelect
        label="Stages"
        data={[...SCHEMES]}
        value={named}
        onChange={(event) => choose(event.currentTarget.value)}
      />
      {named === 'typed' && <TypedStages joint={joint} unit={unit} stageFigures={stageFigures} onChange={onChange} />}
    </>
  );
}
