import { keepPhoto } from '@/features/book/photo';
import { currentShop } from '@/server/current-shop';
import { answer, answering, foreign } from '@/server/http';
import { done, refused } from '@/model/outcome';

/** Keeps a photograph of the page that a leaf stands on. */
export async function POST(request: Request, { params }: { readonly params: Promise<{ readonly leaf: string }> }) {
  return (
    foreign(request) ??
    answering(async () => {
      const file = (await request.formData()).get('photo');
      if (!(file instanceof File)) return answer(refused({ code: 'missing-field', message: 'The photograph is missing.', field: 'photo' }));
      return answer(done(await keepPhoto(await currentShop(), (await params).leaf, file)));
    })
  );
}
