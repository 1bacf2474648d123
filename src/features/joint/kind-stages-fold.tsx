import type { PlannedStage } from '@/core/tightening';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import { useFigures } from '@/interface/figures/preferences';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import type { JointChange } from './schema';
import { ConfirmingField, StageFields } from './stage-fields';
import { stageWords } from './stage-words';

interface Props {
  readonly joint: Joint;
  readonly unit: string;
  readonly stageList: readonly PlannedStage[];
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

/** The stages that the fasteners of a kind go through. */
export function KindStagesFold({ joint, unit, stageList, onChange, onDetail }: Props) {
  const { plain } = useFigures();
  const line = stageList.map((stage) => stageWords(stage, unit, plain)).join(', then ');
  return (
    <Disclosure title="Its stages" line={line || 'none yet'}>
      <div className={form.grid}>
        <StageFields
          joint={joint}
          unit={unit}
          stageFigures={stageList.flatMap((stage) => (stage.turn ? [] : [stage.setting]))}
          onChange={onChange}
        />
        <ConfirmingField joint={joint} onDetail={onDetail} />
      </div>
    </Disclosure>
  );
}
