import { lettersOf } from '@/interface/words/kind-words';
import { jointDrawing } from '@/model/joint/joint-drawing';
import { fail } from '@/model/result';
import { currentShop } from '@/server/current-shop';
import { catchToResponse, toResponse } from '@/server/http';

interface Context {
  readonly params: Promise<{ readonly joint: string }>;
}

/** How the fasteners of a joint lie and in what turn they come, as an SVG file. */
export async function GET(_: Request, { params }: Context) {
  return catchToResponse(async () => {
    const joint = (await currentShop()).joints.find((await params).joint);
    if (!joint) return toResponse(fail({ code: 'not-found', message: 'That joint is not in this shop.' }));
    const name = joint.name.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'joint';
    return new Response(jointDrawing(joint, lettersOf(joint.fasteners, joint.detail.kinds)), {
      headers: {
        'content-type': 'image/svg+xml; charset=utf-8',
        'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}.svg`,
        'cache-control': 'no-store',
      },
    });
  });
}
