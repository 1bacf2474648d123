import type { PlannedStage } from '@/core/tightening';
import { turnWords } from '@/model/joint/turns-words';

/** `24 lbf·ft`, `90° further` */
export const stageWords = (stage: PlannedStage, unit: string, plain: (value: number) => string): string =>
  stage.turn ? `${turnWords(stage.turn)} further` : `${plain(stage.setting)} ${unit}`;
