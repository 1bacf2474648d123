import type { Unknown } from '@/core/joint';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import type { Joint } from '@/model/joint/joint';
import type { JointDetail } from '@/model/joint/joint-detail';
import { answersFor, type AnswerSource } from './known-elsewhere';
import styles from './unknown-fold.module.css';

interface Props {
  readonly joint: Joint;
  readonly unknown: readonly Unknown[];
  readonly source: AnswerSource;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

const lineOf = (open: number, left: number) => {
  const things = open === 1 ? '1 thing is not known' : `${open} things are not known`;
  const leftSo = left === 0 ? '' : `, ${left} left so`;
  return open === 0 && left === 0 ? 'everything that is judged is known' : `${things}${leftSo}`;
};

/** Everything that is not known of a joint, in one place, each answered with one key or left so by a person. */
export function UnknownFold({ joint, unknown, source, onDetail }: Props) {
  const { leftUnknown } = joint.detail;
  const open = unknown.filter(({ code }) => !leftUnknown.includes(code));
  const left = unknown.filter(({ code }) => leftUnknown.includes(code));
  const answers = answersFor(source, joint);
  return (
    <Disclosure title="Not known" id="not-known" line={lineOf(open.length, left.length)}>
      <ul className={styles.list}>
        {[...open, ...left].map(({ code, what, unjudged }) => (
          <li key={code} className={styles.row} data-left={leftUnknown.includes(code) || undefined}>
            <span>
              <b className={styles.what}>{what}</b>
              <span className="soft">{unjudged}</span>
            </span>
            <span className={styles.keys}>
              {answers
                .filter((answer) => answer.code === code)
                .map(({ words, detail }) => (
                  <Button key={words} onClick={() => onDetail(detail)}>
                    {words}
                  </Button>
                ))}
              {leftUnknown.includes(code) ? (
                <button
                  type="button"
                  className="text-button"
                  onClick={() => onDetail({ leftUnknown: leftUnknown.filter((one) => one !== code) })}
                >
                  Ask again
                </button>
              ) : (
                <button
                  type="button"
                  className="text-button"
                  onClick={() => onDetail({ leftUnknown: [...leftUnknown, code] })}
                >
                  Leave it so
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
      <p className="soft">
        Sizes are entered under The fastener. What is left so stays counted, here and in the record.
      </p>
    </Disclosure>
  );
}
