import { NextResponse } from 'next/server';
import { photoToShow } from '@/features/book/photo';
import { currentShop } from '@/server/current-shop';
import { toResponse, catchToResponse } from '@/server/http';
import { fail } from '@/model/result';

/** A photograph of a page, whole, or with `?small` small. */
export async function GET(request: Request, { params }: { readonly params: Promise<{ readonly photo: string }> }) {
  return catchToResponse(async () => {
    const small = new URL(request.url).searchParams.has('small');
    const shop = await currentShop();
    const { photo: id } = await params;
    const photo = small ? (shop.book.photo(id) ?? shop.notes.photo(id)) : await photoToShow(shop, id);
    if (!photo) return toResponse(fail({ code: 'not-found', message: 'That photograph is not in this shop.' }));
    return new NextResponse(new Uint8Array(small ? photo.thumbnail : photo.whole), {
      headers: {
        'content-type': small ? 'image/webp' : photo.type,
        'cache-control': 'private, max-age=31536000, immutable',
      },
    });
  });
}
