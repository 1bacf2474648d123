import type { Entry } from '@/features/fits/enter-readings';
import type { Result } from '@/model/result';
import { POST } from '@/app/api/engines/[engine]/readings/route';

type Line = Result<Entry> | { readonly step: Entry };

const request = (body: object) =>
  new Request('http://localhost/x', { method: 'POST', body: JSON.stringify(body), headers: { host: 'localhost' } });

/** A table of readings sent as the browser sends it; `onStep` says at each step whether to go on. */
export async function sendTable(
  engine: string,
  body: object,
  onStep: (entry: Entry) => boolean = () => true,
): Promise<Result<Entry> | undefined> {
  const answer = await POST(request(body), { params: Promise.resolve({ engine }) });
  if (!answer.ok || !answer.body) return (await answer.json()) as Result<Entry>;
  for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>) {
    const line = JSON.parse(new TextDecoder().decode(chunk)) as Line;
    if (!('step' in line)) return line;
    if (!onStep(line.step)) return undefined;
  }
  throw new Error('the answer broke off');
}
