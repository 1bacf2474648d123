import { HOLDS_AT_LEAST, WENT_OVER_BY, type DrawnByRule } from '@/model/joint/clamp-left';

/** Of how much less is known than is drawn; empty where everything is as it was pulled. */
export const drawnWords = ({ over, unmoved }: DrawnByRule): string =>
  [
    ...(unmoved > 0
      ? [
          `${unmoved} did not move at the figure: that shows at least ${Math.round(HOLDS_AT_LEAST * 100)} % of it and is drawn so, unless the model has more.`,
        ]
      : []),
    ...(over > 0 ? [`${over} went over and nobody read how far: drawn ${WENT_OVER_BY * 100} % past.`] : []),
  ].join(' ');
