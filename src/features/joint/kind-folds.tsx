'use client';

import { todayFacts } from '@/model/joint/joint-ladder';
import { kindAmong } from '@/model/joint/kind-places';
import { ofOtherLeaf } from '@/model/joint/fastener-kind';
import type { Leaf } from '@/model/book/leaf';
import { FigureFolds } from './figure-folds';
import { originalFilmFor } from './film-reason';
import type { JointSheet } from './joint-sheet';
import { KindPagesFold } from './kind-pages-fold';
import { KindStagesFold } from './kind-stages-fold';
import { SlotFold } from './slot-fold';
import type { KeptJoint } from './use-kept-joint';
import type { WorkedKind } from './use-whole-joint';

interface Props extends Pick<JointSheet, 'pulledWith' | 'answers' | 'slopes'> {
  readonly kept: KeptJoint;
  readonly at: number;
  readonly worked: WorkedKind;
  readonly leaves: readonly Leaf[];
}

/** What a kind has by itself: its page, its stages, its slots. */
export function KindFolds({ kept, at, worked: one, leaves, pulledWith, answers, slopes }: Props) {
  const { setting, worked, stageList, kind } = one;
  const onChange: KeptJoint['change'] = (part) => kept.changeKind(at, part, {});
  const onDetail: KeptJoint['changeDetail'] = (part) => kept.changeKind(at, {}, part);
  return (
    <FigureFolds
      key={kind.name}
      setting={setting}
      worked={worked}
      pulled={kindAmong(pulledWith?.kinds, kind)}
      against={[]}
      answers={answers}
      slopeSeen={slopes[kind.name]}
      pages={
        <>
          <KindPagesFold
            setting={setting}
            leaves={leaves}
            onLeaf={(leaf) => {
              const film = originalFilmFor(leaf.conditionText, setting.shelves.practice);
              const { fields, detail } = ofOtherLeaf(kind, leaf.id, film);
              kept.changeKind(at, fields, detail);
            }}
            onDetail={onDetail}
          />
          <KindStagesFold
            joint={setting.joint}
            unit={worked?.wrench.unit ?? ''}
            stageList={stageList}
            onChange={onChange}
            onDetail={onDetail}
          />
          {worked && todayFacts(setting).locking === 'pin' && <SlotFold setting={setting} worked={worked} />}
        </>
      }
      onChange={onChange}
      onDetail={onDetail}
    />
  );
}
