import { Button } from '@/interface/parts/button';
import type { Joint } from '@/model/joint/joint';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { changeGuards, sheetChanges, sheetNow, type PulledFigure } from '@/model/joint/sheet-changes';
import { GuardList } from './guard-list';
import styles from './joint-screen.module.css';

interface Props {
  readonly joint: Joint;
  readonly pulled: PulledFigure;
  readonly setting: JointInputs;
  readonly worked: JointResult;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

/** Where the sheet was changed after a nut was pulled: what it says now, and what that is to mean. */
export function ChangedNotice({ joint, pulled, setting, worked, onDetail }: Props) {
  const { target_Nm } = worked.ladder;
  const changes = sheetChanges(pulled, setting, worked);
  const now = sheetNow(setting);
  const guards = changeGuards(changes, pulled, target_Nm, joint.detail.changeMeans, now);
  if (guards.length === 0) return null;
  const asks = guards.some(({ code }) => code === 'changed-since-pulled');
  const say = (means: 'next-round' | 'correction') => onDetail({ changeMeans: { means, target_Nm, of: now } });
  return (
    <section aria-label="Changed since it was pulled">
      <GuardList guards={guards} />
      <p className={styles.startKeys}>
        {asks ? (
          <>
            <Button onClick={() => say('correction')}>It corrects what was written</Button>
            <Button onClick={() => say('next-round')}>It is for the next round</Button>
          </>
        ) : (
          <button type="button" className="text-button" onClick={() => onDetail({ changeMeans: null })}>
            Say it otherwise
          </button>
        )}
      </p>
    </section>
  );
}
