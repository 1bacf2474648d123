'use client';

import { TextInput } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { useEffect, useState } from 'react';
import { Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import key from '@/interface/parts/button.module.css';
import { Disclosure } from '@/interface/parts/disclosure';
import { Notice, Screen } from '@/interface/parts/screen';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { useRest } from '@/interface/parts/use-rest';
import { partWords } from '@/interface/words/order-words';
import type { TrayPart } from '@/model/order/tray';
import { useAct } from '@/interface/parts/use-act';
import { takeMarksAction } from './actions';
import { PartActs } from './part-acts';
import { PartForm } from './part-form';
import type { TrayPage } from './queries';
import styles from './tray-screen.module.css';
import { plainWords } from '@/model/plain-words';

/** How one part stands, in a sign and in words. */
function standOf({ short, surplus, used, left, asks, order, part }: TrayPart): {
  readonly sign: string;
  readonly words: string;
  readonly kind: string;
} {
  if (short > 0)
    return { sign: '△', words: `${short} short${order === undefined ? '' : `; on order: ${order}`}`, kind: 'stop' };
  if (surplus > 0)
    return { sign: '△', words: part.stepId === null ? `${surplus} go nowhere` : `${surplus} over`, kind: 'stop' };
  if (asks !== undefined) return { sign: '◌', words: asks.replace(`${part.name}: `, ''), kind: 'wait' };
  if (left === 0 && used > 0) return { sign: '✓', words: 'built in', kind: 'done' };
  return left === 0
    ? { sign: '✓', words: 'struck off', kind: 'done' }
    : { sign: '○', words: 'lies ready', kind: 'plain' };
}

/** One part: what it is, how many, where it goes, how it stands; what is done about it opens. */
function PartLine({ page, one }: { readonly page: TrayPage; readonly one: TrayPart }) {
  const { part, has, left } = one;
  const { sign, words, kind } = standOf(one);
  const goesTo = page.steps.find(({ id }) => id === part.stepId);
  const facts = [
    part.mark && `marked ${part.mark}`,
    part.serial && `number ${part.serial}`,
    part.bag,
    ...partWords(one),
  ];
  return (
    <li className={styles.line} data-kind={kind} id={`part-${part.id}`}>
      <Disclosure
        title={part.name}
        line={
          <span className={styles.stand}>
            <span className={styles.counts}>{`${left} of ${Math.max(part.need, has)} here`}</span>{' '}
            <b>
              <span aria-hidden>{sign}</span>
              {` ${words}`}
            </b>
          </span>
        }
        forms={[`part-${part.id}`, `part-in-${part.id}`, `part-off-${part.id}`, `part-order-${part.id}`]}
      >
        <PartActs page={page} one={one} />
      </Disclosure>
      <p className={styles.facts}>
        {goesTo ? (
          <Link href={`/engines/${page.engineId}/order?step=${goesTo.id}`}>{goesTo.name}</Link>
        ) : (
          'Goes nowhere yet'
        )}
        {facts
          .filter(Boolean)
          .map((fact) => `; ${String(fact)}`)
          .join('')}
      </p>
    </li>
  );
}

/** Offers to put the pairs of the sheet of match marks on the tray. */
function MarksOffer({ page: { engineId, pairs } }: { readonly page: TrayPage }) {
  const { act, pending, problem } = useAct();
  if (pairs === 0) return null;
  return (
    <>
      <p className={styles.keys}>
        <span>
          {pairs === 1 ? 'One pair of the' : `${pairs} pairs of the`}{' '}
          <Link href={`/engines/${engineId}/fits/bearings`}>match marks</Link> {pairs === 1 ? 'is' : 'are'} not on the
          tray: there their marks are asked for as they are fitted.
        </span>
        <Button busy={pending} onClick={() => act(() => takeMarksAction({ engineId }))}>
          Put {pairs === 1 ? 'it' : 'them'} on the tray
        </Button>
      </p>
      <Refusal problem={problem} />
    </>
  );
}

/** Of a full tray, how many parts come with the page. */
const WITH_THE_PAGE = 10;

const textOf = ({ part }: TrayPart) =>
  plainWords([part.name, part.mark, part.serial, part.bag, part.detail.words].join(' '));

/** The tray: every part and fastener of the engine, and where it goes. */
export const TrayScreen = sentInColumns<{ readonly page: TrayPage }>(function Tray({ page }) {
  const [find, setFind] = useState('');
  const all = useRest();
  useEffect(() => {
    // The part that the address names may not have been there yet.
    if (all) document.getElementById(window.location.hash.slice(1))?.scrollIntoView();
  }, [all]);
  const { tray, engineId } = page;
  const words = plainWords(find).split(/\s+/);
  const shown = tray.filter((one) => words.every((word) => textOf(one).includes(word)));
  const [short, over] = [tray.filter((one) => one.short > 0), tray.filter(({ surplus }) => surplus > 0)];
  const at = `/engines/${engineId}/order/tray`;
  return (
    <Screen
      plain
      title="The tray"
      lead="Every part and fastener that was taken off, bought, made or substituted, and where it goes. Building uses it up; at the end nothing lies on it."
      aside={
        <Link href={`/engines/${engineId}/order`} className={key.key}>
          The order
        </Link>
      }
    >
      {short.length > 0 && (
        <Notice kind="stop">Short: {short.map((one) => `${one.short} × ${one.part.name}`).join(', ')}.</Notice>
      )}
      {over.length > 0 && (
        <Notice kind="stop">
          Over: {over.map((one) => `${one.surplus} × ${one.part.name}`).join(', ')}. Say where it goes, or strike it off
          with a reason.
        </Notice>
      )}
      {tray.length > 0 && short.length === 0 && over.length === 0 && (
        <Notice kind="done">It balances: nothing over, nothing missing.</Notice>
      )}
      <Disclosure title="A part for the tray" line="" forms={['new-part']} open={tray.length === 0}>
        <PartForm page={page} onDone={() => undefined} />
      </Disclosure>
      <MarksOffer page={page} />
      {tray.length > 10 && (
        <TextInput
          className={styles.find}
          label="Find on the tray"
          description="Name, mark, number, bag"
          value={find}
          onChange={(event) => setFind(event.currentTarget.value)}
        />
      )}
      <ul>
        {(all ? shown : shown.slice(0, WITH_THE_PAGE)).map((one) => (
          <PartLine key={one.part.id} page={page} one={one} />
        ))}
      </ul>
      {tray.length > 0 && shown.length === 0 && <p>Nothing on the tray is called so.</p>}
      <p className={styles.keys}>
        <Link href={`${at}/import`} className={key.key}>
          Parts in (CSV)
        </Link>
        {tray.length > 0 && (
          <>
            <a href={`/api/engines/${engineId}/tray`} download className={key.key}>
              The tray as CSV
            </a>
            <Link href={`${at}/labels`} className={key.key}>
              Labels for the bags
            </Link>
          </>
        )}
      </p>
    </Screen>
  );
});
