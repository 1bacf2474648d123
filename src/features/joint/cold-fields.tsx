'use client';

import { NativeSelect } from '@mantine/core';
import { allowedOver, type ColdRule, type HeadMetal } from '@/core/heat';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { Notice } from '@/interface/parts/screen';
import { choices } from '@/interface/words/choices';
import { COLD_LOSS, USUAL_AIR_C, lostByWarmth, shrinkingHead, type WarmHead } from '@/model/joint/warm-head';
import { COLD_RULES } from '@/model/practice/house-practice';
import type { JointDetail } from '@/model/joint/joint-detail';

const WAYS = ['metal', 'air', 'hours'] as const;
type Way = (typeof WAYS)[number];

const wayOf = (cold: ColdRule | null): Way => (cold === null ? 'metal' : 'hours' in cold ? 'hours' : 'air');

/** What a way begins with: as house practice has it. */
const USUAL: Readonly<Record<Way, ColdRule | null>> = {
  metal: COLD_RULES.metal,
  air: COLD_RULES['air-5'],
  hours: COLD_RULES['hours-10'],
};

const MOST_K = 60;
const MOST_HOURS = 168;

interface Props {
  readonly detail: JointDetail;
  readonly headMetal: HeadMetal;
  /** Undefined where its figure cannot be reckoned. */
  readonly warm?: WarmHead;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

/** When its head counts as cold: by its metal, so near the air, or after so many hours; and what that may cost. */
export function ColdFields({ detail: { cold }, headMetal, warm, onDetail }: Props) {
  const { significant } = useFigures();
  const way = wayOf(cold);
  const within_K = allowedOver(headMetal, cold ?? undefined);
  const known = warm?.is === 'known' ? warm : undefined;
  const clamp_K = known && Math.min(MOST_K, Math.max(1, Math.floor(2 * known.within_K) / 2));
  const hours = cold && 'hours' in cold ? cold.hours : undefined;
  return (
    <>
      <NativeSelect
        label="Its head counts as cold"
        data={choices(WAYS, {
          metal: `By its metal: within ${allowedOver(headMetal)} K of the air`,
          air: 'Within so many kelvins of the air',
          hours: 'So many hours after it was stopped',
        })}
        value={way}
        onChange={(event) => onDetail({ cold: USUAL[event.currentTarget.value as Way] })}
      />
      {way === 'air' && (
        <MeasureField
          kind="number"
          label="Kelvins above the air"
          limits={[1, MOST_K]}
          value={within_K}
          onChange={(next) => next !== null && onDetail({ cold: { within_K: next } })}
        />
      )}
      {hours !== undefined && (
        <MeasureField
          kind="number"
          label="Hours"
          description={`And within ${within_K} K of the air`}
          limits={[1, MOST_HOURS]}
          value={hours}
          onChange={(next) => next !== null && onDetail({ cold: { hours: next } })}
        />
      )}
      {known && clamp_K !== undefined && (
        <div className={form.wide}>
          <p className="soft">
            {within_K} K may cost {significant(100 * lostByWarmth(known, within_K), 2)} % of its clamp load, by the
            stiffness of its fastener; {100 * COLD_LOSS} % lie at {significant(known.within_K, 2)} K.
          </p>
          {!(cold && 'within_K' in cold && cold.within_K === clamp_K) && (
            <Button onClick={() => onDetail({ cold: { within_K: clamp_K } })}>
              Cold by its clamp load: within {clamp_K} K
            </Button>
          )}
        </div>
      )}
    </>
  );
}

/** What a head that is set warm loses as it cools, where its page says so. */
export function WarmLoss({
  detail: { warm: asked },
  headMetal,
  warm,
}: Pick<Props, 'headMetal' | 'warm'> & { readonly detail: Pick<JointDetail, 'warm'> }) {
  const { significant } = useFigures();
  const head = shrinkingHead(headMetal);
  if (!asked || head === undefined) return null;
  const over_K = asked.head_C - USUAL_AIR_C;
  return (
    <div className={form.wide}>
      <Notice kind="stop">
        {head} that is set at {asked.head_C} °C shrinks more than its studs as it cools to {USUAL_AIR_C}:{' '}
        {warm?.is === 'known'
          ? `up to ${significant(100 * Math.min(1, lostByWarmth(warm, over_K)), 2)} % of its clamp load is lost, by the stiffness of its fastener.`
          : 'how much of its clamp load is lost is not known, as its grip was not given.'}{' '}
        It is gone over warm only where {asked.page} says so, and with a reason.
      </Notice>
    </div>
  );
}
