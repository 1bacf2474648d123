'use client';

import { EXPANSIONS_UM_PER_MK } from '@/core/units';
import { fitKind, type FitKind, type Method, RUNOUT_SENSES } from '@/core/fits';
import { choices } from '@/interface/words/choices';
import { NativeSelect, TextInput } from '@mantine/core';
import { isDomainError } from '@/core/units';
import type { Fit } from '@/model/fit/fit';
import { kindOf } from '@/model/fit/kind-of-fit';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import { TakeAway } from '@/interface/parts/take-away';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { alterFitAction } from './actions';
import { limitsOf } from './fit-of-fields';
import { METHOD_WORDS } from '@/interface/words/fit-words';
import type { LengthLeaf, NamedJoint } from './queries';

const METHODS_OF: Readonly<Record<FitKind['shape'], readonly Method[]>> = {
  pair: ['micrometer', 'strip'],
  float: ['dial', 'feelers'],
  feelers: ['feelers'],
  length: ['length'],
  runout: ['dial'],
};

const mm = (value: number | undefined) => (value === undefined ? '' : `${Number(value.toFixed(6))} mm`);
const METALS = Object.keys(EXPANSIONS_UM_PER_MK);
const metalOf = (expansion: number | undefined) =>
  Object.entries(EXPANSIONS_UM_PER_MK).find(([, value]) => value === expansion)?.[0] ?? 'steel';

function valuesOf(fit: Fit) {
  const { limits, rule, soft, target_mm, as } = fit.wanted;
  const { packet, expansion, nominal_mm } = fit.detail;
  const shipped = fitKind(fit.kind)?.rule;
  return {
    id: fit.id,
    version: fit.version,
    name: fit.name,
    methods: [...fit.methods] as string[],
    stations: String(fit.stations),
    angles: String(fit.angles),
    jointId: fit.jointId ?? '',
    holds: [...fit.holds],
    by: fit.leafId !== null ? 'page' : limits ? 'own' : rule ? 'rule' : 'nothing',
    leafId: fit.leafId ?? '',
    low: fit.leafId === null ? mm(limits?.min_mm) : '',
    high: fit.leafId === null ? mm(limits?.max_mm) : '',
    ruleLow: String(rule?.perDiameter[0] ?? shipped?.perDiameter[0] ?? ''),
    ruleHigh: String(rule?.perDiameter[1] ?? shipped?.perDiameter[1] ?? ''),
    floor: mm(rule?.floor_mm ?? shipped?.floor_mm),
    softLow: mm(soft?.min_mm),
    softHigh: mm(soft?.max_mm),
    target: mm(target_mm),
    as: as ?? 'reading',
    nominal: mm(nominal_mm),
    packetName: packet?.name ?? '',
    packetLow: mm(packet?.min_mm),
    packetHigh: mm(packet?.max_mm),
    innerMetal: metalOf(expansion?.journal),
    outerMetal: metalOf(expansion?.bore),
  };
}

const BY = [
  { value: 'page', label: 'a page of the book' },
  { value: 'rule', label: 'a rule on the measured diameter' },
  { value: 'own', label: 'limits of your own' },
  { value: 'nothing', label: 'nothing yet' },
];

type Fields = ReturnType<typeof useActionForm<ReturnType<typeof valuesOf>, object>>['form'];

/** What is wrong with two limits as they stand, while they are being typed: a missing unit, an end above the other. */
function liveProblem(low: string, high: string, names: readonly [string, string]): Readonly<Record<string, string>> {
  if (low === '' || high === '') return {};
  try {
    limitsOf(low, high, names);
    return {};
  } catch (error) {
    if (isDomainError(error)) return { [error.field ?? names[0]]: error.message };
    throw error;
  }
}

function WantedFields({
  fields,
  leaves,
  kind,
}: {
  readonly fields: Fields;
  readonly leaves: readonly LengthLeaf[];
  readonly kind: FitKind;
}) {
  const { by, low, high, softLow, softHigh } = fields.values;
  const live = {
    ...(by === 'own' && liveProblem(low, high, ['low', 'high'])),
    ...liveProblem(softLow, softHigh, ['softLow', 'softHigh']),
  };
  const field = (name: keyof typeof fields.values) => {
    const props = fields.getInputProps(name);
    const { error } = props as { error?: string };
    return { ...props, error: live[name] ?? error };
  };
  return (
    <>
      <NativeSelect label="What is wanted comes from" data={BY} {...field('by')} />
      {by === 'page' && (
        <NativeSelect
          label="Which entry"
          data={[
            { value: '', label: leaves.length === 0 ? 'no entry gives a length yet' : 'choose' },
            ...leaves.map((leaf) => ({
              value: leaf.id,
              label: `${leaf.subject}: “${leaf.printedText}”, ${leaf.source}, p. ${leaf.page}`,
            })),
          ]}
          {...field('leafId')}
        />
      )}
      {by === 'own' && (
        <TextInput label="Lower limit" description="With its unit: 0.025 mm, 1 thou" {...field('low')} />
      )}
      {by === 'own' && <TextInput label="Upper limit" {...field('high')} />}
      {by === 'rule' && kind.rules && (
        <div className={form.acts} role="group" aria-label="The usual rules">
          {kind.rules.map(({ name, perDiameter: [least, most] }) => (
            <Button key={name} onClick={() => fields.setValues({ ruleLow: String(least), ruleHigh: String(most) })}>
              {name}: {least} to {most}
            </Button>
          ))}
        </div>
      )}
      {by === 'rule' && (
        <TextInput label="Rule, least share" description="Of the measured diameter" {...field('ruleLow')} />
      )}
      {by === 'rule' && <TextInput label="Rule, most" {...field('ruleHigh')} />}
      {by === 'rule' && <TextInput label="Not under" {...field('floor')} />}
      <TextInput label="Own target" description="Inside the limits" {...field('target')} />
      <TextInput
        label="Soft limits, lower"
        description="Inside the hard ones: usable, better wanted"
        {...field('softLow')}
      />
      <TextInput label="Soft limits, upper" {...field('softHigh')} />
      {kind.shape === 'runout' && (
        <NativeSelect
          label="The limits are of"
          data={choices(RUNOUT_SENSES, {
            reading: 'the full indicator reading',
            eccentricity: 'the eccentricity, half of it',
          })}
          {...field('as')}
        />
      )}
    </>
  );
}

/** What is wanted of a fit and where from; how it is read; what its readings rest on and what they hold. */
export function WantedFold({
  fit,
  leaves,
  joints,
  line,
}: {
  readonly fit: Fit;
  readonly leaves: readonly LengthLeaf[];
  readonly joints: readonly NamedJoint[];
  readonly line: string;
}) {
  const kind = kindOf(fit);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm('wanted', valuesOf(fit), alterFitAction, () => undefined);
  const field = fields.getInputProps;
  const tick = (name: 'methods' | 'holds', value: string, label: string) => (
    <label key={value} className={form.choice}>
      <input
        type="checkbox"
        checked={fields.values[name].includes(value)}
        onChange={(event) =>
          fields.setFieldValue(
            name,
            event.currentTarget.checked
              ? [...fields.values[name], value]
              : fields.values[name].filter((one) => one !== value),
          )
        }
      />
      <span>{label}</span>
    </label>
  );
  const methods = METHODS_OF[kind.shape];
  return (
    <Disclosure
      title="What is wanted, and how it is read"
      forms={['wanted']}
      line={line}
      open={Object.keys(fit.wanted).length === 0}
    >
      <ActionForm label="What is wanted" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
        <WantedFields fields={fields} leaves={leaves} kind={kind} />
        <TextInput label="Name" {...field('name')} />
        <TextInput
          label={kind.shape === 'pair' ? 'Stations along it' : 'Readings at each place'}
          inputMode="numeric"
          {...field('stations')}
        />
        {kind.shape === 'pair' && <TextInput label="Angles round it" inputMode="numeric" {...field('angles')} />}
        <TextInput
          label={kind.id === 'ring-gap' ? 'Bore' : 'About how large'}
          description="A slipped zero is seen by it"
          {...field('nominal')}
        />
        {kind.shape === 'pair' && (
          <NativeSelect label={`${kind.sides[0]} is of`} data={METALS} {...field('innerMetal')} />
        )}
        {kind.shape === 'pair' && (
          <NativeSelect label={`${kind.sides[1]} is of`} data={METALS} {...field('outerMetal')} />
        )}
        {methods.length > 1 && (
          <fieldset className={form.fieldset}>
            <legend className={form.legend}>Measured by</legend>
            <div className={form.choices}>{methods.map((method) => tick('methods', method, METHOD_WORDS[method]))}</div>
          </fieldset>
        )}
        {fields.values.methods.includes('strip') && <TextInput label="Packet of the strip" {...field('packetName')} />}
        {fields.values.methods.includes('strip') && (
          <TextInput label="It reads from" description="With the packet’s own unit" {...field('packetLow')} />
        )}
        {fields.values.methods.includes('strip') && <TextInput label="To" {...field('packetHigh')} />}
        <NativeSelect
          label="Its cap or cover is tightened by"
          data={[{ value: '', label: 'no joint' }, ...joints.map(({ id, name }) => ({ value: id, label: name }))]}
          {...field('jointId')}
        />
        {joints.length > 0 && (
          <fieldset className={form.fieldset}>
            <legend className={form.legend}>Out of limits, these may not be closed</legend>
            <div className={form.choices}>{joints.map(({ id, name }) => tick('holds', id, name))}</div>
          </fieldset>
        )}
        <div className={form.acts}>
          <Button type="submit" rank="main" busy={pending}>
            Save what is wanted
          </Button>
          <TakeAway kind="fit" id={fit.id} name={fit.name} after={`/engines/${fit.engineId}/fits`} />
        </div>
      </ActionForm>
    </Disclosure>
  );
}
