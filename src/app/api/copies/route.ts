import { bringCopy } from '@/server/copies';
import { catchToResponse, rejectCrossOrigin, toResponse } from '@/server/http';
import { ok } from '@/model/result';

/** A copy from elsewhere, looked through and put among the others; it is not put in place by that. */
export async function POST(request: Request) {
  const other = rejectCrossOrigin(request);
  if (other) return other;
  return catchToResponse(async () => {
    const { counts } = await bringCopy(request.body);
    return toResponse(ok({ rows: counts.reduce((all, { rows }) => all + rows, 0) }));
  });
}
