import { signedPercent } from '@/core/units';
import {
  windowFloor,
  wrenchSetting,
  type Adaptor,
  type WrenchScale,
  type WrenchSetting,
  type WrenchWindow,
} from './setting';

/** A wrench of the shelf, as the choice sees it. */
export interface ShelfWrench extends WrenchScale {
  readonly id: string;
  readonly name: string;
  readonly accuracy_pct: number;
  /** True where its check is older than the shop's school allows, or was never made. */
  readonly overdue: boolean;
}

export interface PassedOver {
  readonly id: string;
  readonly name: string;
  readonly reason: string;
}

export interface WrenchChoice {
  readonly chosen?: {
    readonly id: string;
    readonly name: string;
    readonly setting: WrenchSetting;
    readonly reason: string;
  };
  readonly passedOver: readonly PassedOver[];
}

const WINDOW_WORDS: Readonly<Record<WrenchWindow, string>> = {
  'upper-two-thirds': 'the upper two thirds of its scale',
  'iso-20-100': '20 to 100 % of its scale',
  whole: 'its scale',
};

const figure = (value: number) => String(Number(value.toPrecision(3)));

function reasonAgainst(wrench: ShelfWrench, setting: WrenchSetting, window: WrenchWindow): string | undefined {
  const wanted = `${figure(setting.setting)} ${wrench.unit}`;
  if (!setting.onScale) return `${wanted} is off its scale of ${wrench.min} to ${wrench.max}.`;
  if (!setting.inWindow)
    return `${wanted} lies below ${figure(windowFloor(wrench, window))}, outside ${WINDOW_WORDS[window]}.`;
  return undefined;
}

/** Total doubt at this figure: the wrench's own and what rounding adds, in per cent; an overdue one goes behind. */
const doubt = (wrench: ShelfWrench, setting: WrenchSetting) =>
  Math.hypot(wrench.accuracy_pct, setting.roundingError_pct) + (wrench.overdue ? 100 : 0);

/**
 * Chooses the wrench that is trusted at this torque with the least doubt, and says why the others were passed over.
 * Where none is trusted there, the one highest on its scale is taken and said to be low; nothing is chosen where all
 * are off their scales.
 */
export function chooseWrench(
  target_Nm: number,
  shelf: readonly ShelfWrench[],
  window: WrenchWindow,
  adaptor?: Adaptor,
): WrenchChoice {
  const tried = shelf.map((wrench) => {
    const setting = wrenchSetting(target_Nm, wrench, window, adaptor);
    return { wrench, setting, against: reasonAgainst(wrench, setting, window) };
  });
  const fit = tried
    .filter((one) => one.against === undefined)
    .sort((a, b) => doubt(a.wrench, a.setting) - doubt(b.wrench, b.setting));
  const onScale = tried
    .filter(({ setting }) => setting.onScale)
    .sort(
      (a, b) =>
        Number(a.wrench.overdue) - Number(b.wrench.overdue) ||
        b.setting.setting / b.wrench.max - a.setting.setting / a.wrench.max,
    );
  const best = fit[0] ?? onScale[0];
  const passedOver = tried
    .filter((one) => one !== best)
    .map(({ wrench, setting, against }) => ({
      id: wrench.id,
      name: wrench.name,
      reason:
        against ??
        (wrench.overdue
          ? 'Its check is overdue.'
          : `Would do, with more uncertainty: ±${wrench.accuracy_pct} %, ${signedPercent(setting.roundingError_pct)} from rounding.`),
    }));
  if (!best) return { passedOver };
  const { wrench, setting } = best;
  // Of what it is set to: with an extension that is not what the fastener gets.
  const share = (100 * setting.rounded) / wrench.max;
  const low = setting.inWindow ? '' : ' Low on its scale; none on the shelf is trusted there.';
  const small = wrench.unit === 'lbf·in' ? ' Use inch-pounds on the small one.' : '';
  const reason = `At ${share.toFixed(0)} % of its scale, ±${wrench.accuracy_pct} %, ${Math.abs(setting.roundingError_pct).toFixed(1)} % lost to rounding.${low}${small}${wrench.overdue ? ' Its check is overdue: no other fits.' : ''}`;
  return { chosen: { id: wrench.id, name: wrench.name, setting, reason }, passedOver };
}
