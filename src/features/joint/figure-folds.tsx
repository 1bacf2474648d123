'use client';

import type { ReactNode } from 'react';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { Uses } from '@/model/joint/uses';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import type { PulledFigure } from '@/model/joint/sheet-changes';
import type { Guard } from '@/core/joint';
import { ChangedNotice } from './changed-notice';
import { FastenerFold } from './fastener-fold';
import { GuardList } from './guard-list';
import type { SlopeSeen } from '@/model/heat/slopes-of-round';
import type { AnswerSource } from './known-elsewhere';
import { LadderView } from './ladder-view';
import type { JointChange } from './schema';
import { SlopeFold } from './slope-fold';
import { SpreadFold } from './spread-fold';
import { UnknownFold } from './unknown-fold';
import { WrenchFold } from './wrench-fold';

interface Props {
  readonly setting: JointInputs;
  readonly worked?: JointResult;
  /** What these fasteners were pulled with, once one of them was. */
  readonly pulled?: PulledFigure;
  /** How often what is in it was pulled. */
  readonly uses?: Uses;
  /** What stands against it from outside its figure. */
  readonly against: readonly Guard[];
  readonly answers: AnswerSource;
  readonly slopeSeen?: SlopeSeen;
  /** Which page its figure is from. */
  readonly pages: ReactNode;
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

/** The figure of fasteners that are alike: its ladder, what stands against it, and what it is made of. */
export function FigureFolds({
  setting,
  worked,
  pulled,
  against,
  uses,
  answers,
  slopeSeen,
  pages,
  onChange,
  onDetail,
}: Props) {
  const { joint } = setting;
  return (
    <>
      {worked && <LadderView worked={worked} setting={setting} onChange={onChange} onDetail={onDetail} />}
      {worked && pulled && (
        <ChangedNotice joint={joint} pulled={pulled} setting={setting} worked={worked} onDetail={onDetail} />
      )}
      {worked && <GuardList guards={[...against, ...worked.guards]} />}
      {worked && <UnknownFold joint={joint} unknown={worked.unknown} source={answers} onDetail={onDetail} />}
      {pages}
      <FastenerFold setting={setting} uses={uses} onChange={onChange} onDetail={onDetail} />
      {worked && <WrenchFold setting={setting} worked={worked} onChange={onChange} onDetail={onDetail} />}
      {worked && <SpreadFold setting={setting} worked={worked} />}
      {worked && joint.retorqueSchool !== 'none' && (
        <SlopeFold setting={setting} worked={worked} seen={slopeSeen} onDetail={onDetail} />
      )}
    </>
  );
}
