'use client';

import { Link } from '@/interface/parts/link';
import { todayFacts } from '@/model/joint/joint-ladder';
import { keyOfShape } from '@/model/joint/joint-shape';
import type { Leaf } from '@/model/book/leaf';
import { useFigures } from '@/interface/figures/preferences';
import { Disclosure } from '@/interface/parts/disclosure';
import { ClampMapFold } from './clamp-map-fold';
import { HolesFold } from './holes-fold';
import type { JointSheet } from './joint-sheet';
import { KindsFold } from './kinds-fold';
import { PlaceNotesFold } from './place-notes-fold';
import { PlanFold } from './plan-fold';
import { ShapeFold } from './shape-fold';
import { SlotFold } from './slot-fold';
import type { KeptJoint } from './use-kept-joint';
import type { WorkedFigure, WorkedKind } from './use-whole-joint';

interface Props extends Pick<JointSheet, 'pulled' | 'halfPulled' | 'others' | 'stretch' | 'asPulled' | 'answers'> {
  readonly kept: KeptJoint;
  readonly own: WorkedFigure;
  readonly kinds: readonly WorkedKind[];
  readonly leaves: readonly Leaf[];
  readonly onShow: (kind: number | undefined) => void;
}

/** What the whole of the joint has, whatever its fasteners are: plan, kinds, shape, notes. */
export function WholeFolds({
  kept,
  own,
  kinds,
  leaves,
  pulled,
  halfPulled,
  others,
  stretch,
  asPulled,
  answers,
  onShow,
}: Props) {
  const { joint, change, changeDetail } = kept;
  const { plain } = useFigures();
  const { setting, worked, stageList } = own;
  const staged = [own, ...kinds];
  return (
    <>
      <Disclosure title="By stretch" line={stretch.line}>
        <p>
          Where it matters most, length is measured before and after.{' '}
          <Link href={stretch.href}>The stretch sheet of this joint</Link>
        </p>
      </Disclosure>
      <PlanFold
        setting={setting}
        headMetal={answers.headMetal}
        worked={worked}
        stageList={stageList}
        kinds={kinds}
        onChange={change}
        onDetail={changeDetail}
        plain={plain}
      />
      {worked && todayFacts(setting).locking === 'pin' && <SlotFold setting={setting} worked={worked} />}
      {worked && joint.fasteners > 1 && (
        <ClampMapFold
          key={keyOfShape(joint)}
          setting={setting}
          worked={worked}
          kinds={kinds}
          asPulled={asPulled}
          stageList={stageList}
          onDetail={changeDetail}
          onTake={({ shares, confirming }) => {
            change({ stageScheme: shares });
            changeDetail({ confirming });
          }}
        />
      )}
      <ShapeFold
        joint={joint}
        pulled={pulled}
        halfPulled={halfPulled}
        others={others}
        onChange={change}
        onDetail={changeDetail}
      />
      {joint.fasteners > 1 && (
        <KindsFold
          joint={joint}
          leaves={leaves}
          practice={setting.shelves.practice}
          stages={staged.map((one) => one.stageList)}
          onDetail={changeDetail}
          onShow={onShow}
        />
      )}
      <HolesFold joint={joint} onDetail={changeDetail} />
      <PlaceNotesFold joint={joint} onDetail={changeDetail} />
    </>
  );
}
