'use client';

import { isDomainError, THOU_MM } from '@/core/units';
import { TextInput } from '@mantine/core';
import { nanoid } from 'nanoid';
import { shims as chooseShims, type ShimChoice } from '@/core/fits';
import { shimsIn, stackOf_mm, type FitLine, type Shim } from '@/model/fit/fit';
import { isProven, type FitState, type FitPlace } from '@/model/fit/place-state';
import { useFigures, useLengths } from '@/interface/figures/preferences';
import { ActionForm, Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { Notice } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { useActionForm } from '@/interface/parts/use-action-form';
import { useShowWorking } from '@/interface/shell/working-margin';
import { workingOfShims } from './figure-working';
import { fitShimAction, keepDrawerAction, putShimAction } from './actions';
import styles from './places.module.css';

type Chosen = { readonly ok: true; readonly choice: ShimChoice } | { readonly ok: false; readonly message: string };

const stockOf = (drawer: readonly Shim[]) =>
  drawer.flatMap(({ thickness_mm, count }) => Array<number>(count).fill(thickness_mm));

/** What the drawer can do for the float as it was read with the shim that is in. */
function choiceFor({ fit }: FitState, place: FitPlace, drawer: readonly Shim[]): Chosen | undefined {
  const { shim } = fit.detail;
  const float = place.result.figures[0];
  const { wanted } = place.result;
  if (!shim || !float || !wanted) return undefined;
  const stock = stockOf(drawer);
  if (stock.length === 0) return { ok: false, message: 'The drawer is empty: put the shims in it first.' };
  try {
    const choice = chooseShims({
      float_mm: float.uncrushed_mm ?? float.mean_mm,
      fitted_mm: stackOf_mm(shimsIn(shim, place.place)),
      wanted: { ...wanted.hard, ...(wanted.target_mm !== undefined && { target_mm: wanted.target_mm }) },
      ...(shim.crush && { crush: shim.crush }),
      // What is in comes out first and can go in again.
      stock_mm: [...stock, ...shimsIn(shim, place.place)],
      stack: shim.stack,
    });
    return { ok: true, choice };
  } catch (error) {
    if (isDomainError(error)) return { ok: false, message: error.message };
    throw error;
  }
}

function DrawerForm({ judged: { fit } }: { readonly judged: FitState }) {
  const { shim } = fit.detail;
  const mm = (value: number | undefined) => (value === undefined ? '' : `${value} mm`);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    'drawer',
    {
      fitId: fit.id,
      version: fit.version,
      family: shim?.family ?? `${fit.name}, shims`,
      fitted: mm(shim?.fitted_mm),
      crushLow: mm(shim?.crush?.min_mm),
      crushHigh: mm(shim?.crush?.max_mm),
      stack: String(shim?.stack ?? 1),
    },
    keepDrawerAction,
    () => undefined,
  );
  const field = fields.getInputProps;
  return (
    <ActionForm label="The drawer of shims" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput label="Family of shims" description="What they fit" {...field('family')} />
      <TextInput label="In while it was read" description="0.45 mm, or empty" {...field('fitted')} />
      <TextInput label="Gasket loses, least" description="Where it was read uncrushed" {...field('crushLow')} />
      <TextInput label="Gasket loses, most" {...field('crushHigh')} />
      <TextInput label="At most in one stack" inputMode="numeric" {...field('stack')} />
      <div className={form.acts}>
        <Button type="submit" busy={pending}>
          Save the drawer
        </Button>
      </div>
    </ActionForm>
  );
}

function StockForm({ family, drawer }: { readonly family: string; readonly drawer: readonly Shim[] }) {
  const { gap } = useLengths();
  const seen = Object.fromEntries(drawer.map(({ id, version }) => [id, version]));
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    'shim',
    { family, typed: '', count: '1', seen: {} },
    (values) => putShimAction({ ...values, seen: { ...seen, ...values.seen } }),
    (_, entered) => entered.setValues({ typed: '', seen: {} }),
    ({ version, current }) => ({ seen: { [(current as Shim).id]: version } }),
  );
  const field = fields.getInputProps;
  return (
    <>
      <p>
        In the drawer:{' '}
        {drawer
          .filter(({ count }) => count > 0)
          .map(({ id, thickness_mm, count }, i) => (
            <span key={id}>
              {i > 0 && ', '}
              <span className="figure">
                {count > 1 && `${count} × `}
                {gap(thickness_mm)}
              </span>
            </span>
          ))}
        {drawer.every(({ count }) => count === 0) && 'nothing'}.
      </p>
      <ActionForm label="Shims of one thickness" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
        <TextInput label="Thickness" description="0.40 mm, or 16 thou" autoComplete="off" {...field('typed')} />
        <TextInput label="How many there are" inputMode="numeric" {...field('count')} />
        <div className={form.acts}>
          <Button type="submit" busy={pending}>
            Save to the drawer
          </Button>
        </div>
      </ActionForm>
    </>
  );
}

interface ChoiceProps {
  readonly judged: FitState;
  readonly place: FitPlace;
  readonly drawer: readonly Shim[];
  readonly add: (line: FitLine) => void;
}

function Choice({ judged, place, drawer, add }: ChoiceProps) {
  const told = useLengths();
  const { gap, inch } = told;
  const { span } = useLengths(judged.kind.isSize);
  const { plain } = useFigures();
  const { act, pending, problem } = useAct();
  const what = judged.kind.isSize ? 'height' : 'float';
  const found = choiceFor(judged, place, drawer);
  const { shim } = judged.fit.detail;
  const isIn_mm = stackOf_mm(shim ? shimsIn(shim, place.place) : []);
  const name = judged.places.length > 1 ? `${place.name}. ` : '';
  const read = place.result.figures[0];
  const read_mm = read?.uncrushed_mm ?? read?.mean_mm ?? 0;
  const called = judged.places.length > 1 ? `Shims, ${place.name}` : 'Shims';
  const working =
    found?.ok && shim
      ? workingOfShims({ name: called, what, read_mm, in_mm: isIn_mm, shim, choice: found.choice }, told)
      : undefined;
  const show = useShowWorking(working ? [working] : []);
  if (isProven(place.state))
    return (
      <p className="soft">
        {name}Inside as it is, {isIn_mm > 0 ? `with ${gap(isIn_mm)} in` : 'without a shim'}.
      </p>
    );
  if (!found)
    return (
      <p className="soft">
        {name}Read the {what} first, and say what is wanted.
      </p>
    );
  if (!found.ok) return <Notice kind="stop">{found.message}</Notice>;
  const { choice_mm, float, verdict, notes } = found.choice;
  const stays = Math.abs(stackOf_mm(choice_mm) - isIn_mm) < 0.0005;
  const fit = () =>
    act(() => {
      const { id: fitId, version } = judged.fit;
      return fitShimAction({ fitId, version, place: place.place, choice_mm });
    });
  const order = () => {
    const wanted = place.result.wanted;
    const target = wanted?.target_mm ?? ((wanted?.hard.min_mm ?? 0) + (wanted?.hard.max_mm ?? 0)) / 2;
    const crush = shim?.crush ? (shim.crush.min_mm + shim.crush.max_mm) / 2 : 0;
    const missing_mm = read_mm + isIn_mm - crush - target;
    const thickness = inch
      ? `${plain(Math.round(missing_mm / THOU_MM))} thou`
      : `${plain(Number(missing_mm.toFixed(2)))} mm`;
    add({
      id: nanoid(),
      kind: 'order',
      place: place.place,
      at: new Date().toISOString(),
      body: { words: `shim of ${thickness}` },
    });
  };
  return (
    <div tabIndex={0} role="group" aria-label={called} {...(working && show(working))}>
      <p data-testid="shim-choice">
        {name}The best that the drawer can do: <b className="figure">{choice_mm.map((one) => gap(one)).join(' + ')}</b>
        {stays && ', which is in already'}. The {what} is then{' '}
        <b className="figure">{span(float.min_mm, float.max_mm)}</b>
        {shim?.crush && ', between full and least crush'}:{' '}
        {verdict === 'inside' ? 'inside.' : verdict === 'tight' ? 'too tight.' : 'too loose.'}
      </p>
      {notes.map((note) => (
        <Notice key={note.code} kind="wait">
          {note.message}
        </Notice>
      ))}
      <Refusal problem={problem} />
      <p className={form.acts}>
        {!stays && (
          <Button rank={verdict === 'inside' ? 'main' : 'plain'} onClick={fit} disabled={pending}>
            Fit it, and read the {what} again
          </Button>
        )}
        {verdict !== 'inside' && <Button onClick={order}>A better one is on order</Button>}
      </p>
    </div>
  );
}

/** Shims for a float: what the drawer can do at least and at full crush of the gasket, which is counted once. */
export function ShimFold({ judged, drawer, add }: Omit<ChoiceProps, 'place'>) {
  const { shim } = judged.fit.detail;
  const { gap } = useLengths();
  const isIn = shim && [...new Set(judged.places.map(({ place }) => stackOf_mm(shimsIn(shim, place))))];
  const line = isIn
    ? `${isIn.length === 1 ? gap(isIn[0] ?? 0) : 'each its own'} in; ${drawer.reduce((sum, { count }) => sum + count, 0)} in the drawer`
    : 'no drawer yet';
  return (
    <Disclosure title="Shims" forms={['drawer', 'shim']} line={line} open={shim !== undefined}>
      {shim &&
        judged.places.map((place) => (
          <Choice key={place.place} judged={judged} place={place} drawer={drawer} add={add} />
        ))}
      {shim && <StockForm key={shim.family} family={shim.family} drawer={drawer} />}
      <h3 className={styles.drawer}>The drawer, and what is in now</h3>
      <DrawerForm key={judged.fit.version} judged={judged} />
    </Disclosure>
  );
}
