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

/** What a standard figure draws on. */
export type StandardShelves = Pick<Shelves, 'films' | 'grades' | 'metals' | 'threads'>;

/**
 * The standard figure where no page speaks: a share of proof load, held under what the parent's thread stands.
 * @throws DomainError
 */
export function standardReading(
  fields: Omit<StandardFields, 'engineId' | 'name'>,
  shelves: StandardShelves,
): StandardReading {
  const thread = atField('thread', () => threadNamed(designationOn(shelves, fields.thread)));
  const grade = gradeOn(shelves, fields.grade);
  const film = filmOn(shelves, fields.film);
  // A metal that is not known is taken for the weakest there is.
  const weakest = [...shelves.metals].sort((a, b) => a.shearLow_MPa - b.shearLow_MPa)[0];
  const metal = fields.metal ? metalOn(shelves, fields.metal) : weakest;
  const parent =
    metal && fields.engagement_mm !== null
      ? { engagement_mm: fields.engagement_mm, shear_MPa: metal.shearLow_MPa }
      : undefined;
  const turned = {
    thread,
    bearing: usualFaceOf(thread.designation),
    muThread: film.thread.middle,
    muHead: film.head.middle,
  };
  const figure = standardFigure(turned, proofOf(grade), parent, USUAL_PROOF_SHARE, {
    yield_MPa: grade.yield_MPa,
    muThread: film.thread,
    muHead: film.head,
  });
  const shareOfProof = (100 * figure.preload_N) / (proofOf(grade) * thread.stressArea_mm2);
  const limit =
    figure.limitedBy === 'parent'
      ? `, held under what the thread in ${metal?.name.toLowerCase() ?? ''} stands${fields.metal ? '' : ' (its metal is not known)'}`
      : figure.limitedBy === 'slippery'
        ? ', held back for the slippery end of the lubricant'
        : '';
  return {
    figure,
    printedText: `${Number(figure.torque_Nm.toPrecision(3))} N·m`,
    page: `reckoned: ${shareOfProof.toFixed(0)} % of proof of ${grade.name} on ${thread.designation}${limit}`.slice(
      0,
      160,
    ),
  };
}
