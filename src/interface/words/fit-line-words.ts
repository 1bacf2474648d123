import { CHANGES, REMEDIES } from '@/core/fits';
import type { Fit, FitLine } from '@/model/fit/fit';
import { kindOf } from '@/model/fit/kind-of-fit';
import { angleName, partName, stationName } from './fit-words';

/** Tells a length in the system that is shown. */
export type Tell = (mm: number) => string;

/** A line in words. */
export function lineWords(line: FitLine, fit: Fit, told: Tell): string {
  switch (line.kind) {
    case 'reading': {
      const { body, part, station, angle, typed, value_mm } = line;
      const where = [
        partName(part, kindOf(fit).sides),
        fit.stations > 1 || part === 'strip' ? stationName(station) : '',
        fit.angles > 1 && (part === 'journal' || part === 'bore') ? angleName(angle, fit.angles) : '',
      ]
        .filter(Boolean)
        .join(' ');
      const from = [
        body.piece && `${kindOf(fit).piece ?? 'Part'} marked ${body.piece}`,
        body.instrument,
        body.by && `read by ${body.by}`,
        body.reportedBy && `reported by ${body.reportedBy}`,
        body.part_C === undefined ? '' : `part at ${body.part_C} °C`,
      ]
        .filter(Boolean)
        .join(', ');
      return `${where}: “${typed}”, ${told(value_mm)}${from ? ` (${from})` : ''}`;
    }
    case 'felt':
      return `Felt: ${line.body.words}`;
    case 'affirm':
      return 'Conditions said to hold';
    case 'change':
      return `Changed: ${CHANGES[line.body.change].name}${line.body.words ? `, ${line.body.words}` : ''}`;
    case 'accept':
      return `Accepted: ${line.body.reason}`;
    case 'remedy':
      return `${REMEDIES[line.body.remedy].name}${line.body.words ? `: ${line.body.words}` : ''}`;
    case 'order':
      return `On order: ${line.body.words}`;
    case 'strip-in':
      return 'Strip laid in; the crank is held';
    case 'strip-out':
      return 'Strip taken out';
    case 'strike':
      return 'Cancelled';
  }
}
