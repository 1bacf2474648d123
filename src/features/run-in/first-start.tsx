import Link from 'next/link';
import { Notice } from '@/interface/parts/screen';
import type { FirstStart as Start } from './queries';

/** As many as are read before a start; the rest stand in the order. */
const MOST = 6;

/** Before the first start: what stands against it in the order of the work, and what is looked at by hand. */
export function FirstStart({ start }: { readonly start?: Start }) {
  const bars = start?.bars ?? [];
  return (
    <>
      <Notice kind="stop">
        Belts, fans and hot metal; fumes; fire at first start. Doors open, extinguisher at hand, and nobody in line with
        the fan.
      </Notice>
      {start && !start.isDone && (
        <>
          <Notice kind={bars.length > 0 ? 'stop' : 'wait'}>
            {bars.length === 0
              ? 'Nothing stands against the start in the order of the work; it is not said to be done there. '
              : `${bars.length} ${bars.length === 1 ? 'thing stands' : 'things stand'} against the start: it is put right, or passed with a written reason, in the order of the work. `}
            <Link href={start.href}>To the order</Link>
          </Notice>
          {bars.length > 0 && (
            <ul className="points">
              {bars.slice(0, MOST).map((words, i) => (
                <li key={i}>{words}</li>
              ))}
              {bars.length > MOST && <li>{bars.length - MOST} more.</li>}
            </ul>
          )}
        </>
      )}
      <ul className="points">
        <li>Oil in, and the pressure raised without firing; primed again if it stood for months.</li>
        <li>Water in and bled; fuel tight, and a way to shut it; timing set and looked at twice.</li>
        <li>Covers on, aids, plugs and rags out, tools off it; turned by hand once more.</li>
        <li>Oil pressure within a minute, or it is stopped; then leaks, noise, the way the warmth goes.</li>
        <li>A start that went wrong is logged too: it warmed the head all the same.</li>
      </ul>
    </>
  );
}
