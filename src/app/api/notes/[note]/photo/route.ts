import { keepNotePhoto } from '@/features/book/photo';
import { currentShop } from '@/server/current-shop';
import { photoSent } from '@/server/http';

/** Keeps a photograph that belongs to a note. */
export async function POST(request: Request, { params }: { readonly params: Promise<{ readonly note: string }> }) {
  return photoSent(request, async (file, who) => keepNotePhoto(await currentShop(), (await params).note, file, who));
}
