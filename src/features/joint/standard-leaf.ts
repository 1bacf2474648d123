import { proofOf } from '@/core/fastener';
import { USUAL_PROOF_SHARE, standardFigure, type StandardFigure } from '@/core/joint';
import { threadNamed } from '@/core/thread';
import { atField } from '@/core/units';
import { usualFaceOf } from '@/model/joint/joint-result';
import { designationOn, filmOn, gradeOn, metalOn, type Shelves } from '@/model/shelf/shelves';
import type { StandardFields } from './schema';

export interface StandardReading {
  readonly figure: StandardFigure;
  /** The figure as the leaf prints it. */
  readonly printedText: string;
  /** How it was come by, as the leaf's page. */
  readonly page: string;
}

/**
 * The standard figure where no page speaks: a share of proof load, held under what the parent's thread stands.
 * @throws DomainError
 */
export function standardReading(fields: Omit<StandardFields, 'engineId' | 'name'>, shelves: Shelves): StandardReading {
  const thread = atField('thread', () => threadNamed(designationOn(shelves, fields.thread)));
  const grade = gradeOn(shelves, fields.grade);
  const film = filmOn(shelves, fields.film);
  const parent =
    fields.metal && fields.engagement_mm !== null
      ? { engagement_mm: fields.engagement_mm, shear_MPa: metalOn(shelves, fields.metal).shearLow_MPa }
      : undefined;
  const turned = {
    thread,
    bearing: usualFaceOf(thread.designation),
    muThread: film.thread.middle,
    muHead: film.head.middle,
  };
  const figure = standardFigure(turned, proofOf(grade), parent, USUAL_PROOF_SHARE);
  const limit =
    figure.limitedBy === 'parent'
      ? `, held under what the thread in ${metalOn(shelves, fields.metal).name.toLowerCase()} stands`
      : '';
  return {
    figure,
    printedText: `${Number(figure.torque_Nm.toPrecision(3))} N·m`,
    page: `reckoned: ${USUAL_PROOF_SHARE * 100} % of proof of ${grade.name} on ${thread.designation}${limit}`.slice(
      0,
      160,
    ),
  };
}
