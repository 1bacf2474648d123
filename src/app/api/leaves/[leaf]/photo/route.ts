import { keepPhoto } from '@/features/book/photo';
import { currentShop } from '@/server/current-shop';
import { photoSent } from '@/server/http';

/** Keeps a photograph of the page that a leaf stands on. */
export async function POST(request: Request, { params }: { readonly params: Promise<{ readonly leaf: string }> }) {
  return photoSent(request, async (file, who) => keepPhoto(await currentShop(), (await params).leaf, file, who));
}
