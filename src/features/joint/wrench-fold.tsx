'use client';

import { Link } from '@/interface/parts/link';
import { schoolWords } from '@/model/practice/practice-questions';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { Notice } from '@/interface/parts/screen';
import { useCells } from '@/interface/parts/use-outside';
import { useReadCells } from '@/interface/parts/use-read-cells';
import type { JointChange } from './schema';
import styles from './fastener-fold.module.css';

interface Props {
  readonly setting: JointInputs;
  readonly worked: JointResult;
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

type Adaptor = NonNullable<JointDetail['adaptor']>;
type AdaptorCells = { readonly [Field in keyof Adaptor]: number | null };

const adaptorCells = (adaptor: Adaptor | null): AdaptorCells =>
  adaptor ?? { wrenchLength_mm: null, extension_mm: null, angle_deg: null };

/** A crowfoot or other arm on the square: it changes what the wrench reads. */
function AdaptorFields({ setting, onDetail }: Pick<Props, 'setting' | 'onDetail'>) {
  const { adaptor } = setting.joint.detail;
  const { cells, put, wrote } = useCells(adaptor, adaptorCells);
  const { wrenchLength_mm, extension_mm, angle_deg } = cells;
  const keep = (next: JointDetail['adaptor']) => {
    wrote(next);
    onDetail({ adaptor: next });
  };
  const { part, ifRead, unread } = useReadCells();
  // How it stands to the handle is asked as the lengths are: in line it takes most of the figure, across nothing.
  const isWhole = wrenchLength_mm !== null && extension_mm !== null && angle_deg !== null;
  const fit = () => {
    if (isWhole) ifRead(() => keep({ wrenchLength_mm, extension_mm, angle_deg }));
  };
  return (
    <div className={form.grid} ref={part}>
      <MeasureField
        label="Wrench, square to hand"
        value={wrenchLength_mm}
        onChange={(mm) => put({ wrenchLength_mm: mm })}
      />
      <MeasureField
        label="Adaptor, square to fastener"
        value={extension_mm}
        onChange={(mm) => put({ extension_mm: mm })}
        zero
      />
      <MeasureField
        kind="number"
        zero
        label="Angle to the handle, degrees"
        description="0 in line, 90 across"
        value={angle_deg}
        onChange={(deg) => put({ angle_deg: deg })}
      />
      <div className={form.acts}>
        <Button onClick={fit} disabled={!isWhole}>
          With this adaptor
        </Button>
        {adaptor && <Button onClick={() => keep(null)}>No adaptor</Button>}
      </div>
      {unread && (
        <div className={form.wide}>
          <Notice kind="stop">{unread}</Notice>
        </div>
      )}
    </div>
  );
}

/** Which wrench, why, and why the others were passed over. */
export function WrenchFold({ setting, worked, onChange, onDetail }: Props) {
  const { joint, shelves } = setting;
  const { choice, wrench } = worked;
  const { plain } = useFigures();
  const byHand = joint.detail.wrenchByHand;
  const chosen = choice.chosen;
  const use = (id: string) => {
    onDetail({ wrenchByHand: true });
    onChange({ wrenchId: id });
  };
  return (
    <Disclosure title="The wrench" line={`${wrench.name}${byHand ? ', taken by hand' : ', from the shelf'}`}>
      <p className="soft">
        House practice: {schoolWords(shelves.practice, 'window').name}.{' '}
        <Link href="/shelves/wrenches">The wrench shelf</Link>
      </p>
      {chosen ? (
        <p>
          <b>{chosen.name}</b> at {plain(chosen.setting.rounded)}: {chosen.reason}{' '}
          {byHand && chosen.id !== wrench.id && (
            <Button onClick={() => onDetail({ wrenchByHand: false })}>Take it</Button>
          )}
        </p>
      ) : (
        <p>No wrench on the shelf is trusted at this figure.</p>
      )}
      <ul className={styles.passed}>
        {choice.passedOver.map((one) => (
          <li key={one.id}>
            <span>
              {one.name}: {one.reason}
            </span>{' '}
            {one.id !== wrench.id && (
              <Button onClick={() => use(one.id)}>
                Use it all the same<span className="only-spoken"> {one.name}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      <h3 className={styles.heading}>An adaptor on the square</h3>
      <AdaptorFields setting={setting} onDetail={onDetail} />
    </Disclosure>
  );
}
