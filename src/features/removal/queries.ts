import type { EngineRows } from '@/model/engine/engine-rows';
import type { AsideKind, SetAside } from '@/model/set-aside';

/** What of an engine was set aside, of one kind, the last first. */
export const asidesOf = ({ asides }: Pick<EngineRows, 'asides'>, kind: AsideKind): readonly SetAside[] =>
  asides.filter((one) => one.kind === kind).toReversed();
