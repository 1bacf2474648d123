import { keepPhoto } from '@/features/book/photo';
import { currentShop } from '@/server/current-shop';
import { toResponse, catchToResponse, rejectCrossOrigin } from '@/server/http';
import { ok, fail } from '@/model/result';

/** Keeps a photograph of the page that a leaf stands on. */
export async function POST(request: Request, { params }: { readonly params: Promise<{ readonly leaf: string }> }) {
  return (
    rejectCrossOrigin(request) ??
    catchToResponse(async () => {
      const file = (await request.formData()).get('photo');
      if (!(file instanceof File))
        return toResponse(fail({ code: 'missing-field', message: 'The photograph is missing.', field: 'photo' }));
      return toResponse(ok(await keepPhoto(await currentShop(), (await params).leaf, file)));
    })
  );
}
