import type { Result } from '@/model/result';

/** What came of a line: how many sheets heard it, or why it was not taken. */
export type Sent = { readonly heardBy: number } | { readonly refused: string };

/** Sends one line of an instrument through the door that every instrument comes in by. */
export async function sendLine(line: string): Promise<Sent> {
  try {
    const response = await fetch('/api/instruments/readings', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: line,
    });
    const outcome = (await response.json()) as Result<{ readonly heardBy: number }>;
    return outcome.ok ? outcome.result : { refused: outcome.error.message };
  } catch {
    return { refused: 'The program on this machine does not answer.' };
  }
}

export const sentWords = (sent: Sent): string =>
  'refused' in sent
    ? `Not taken: ${sent.refused}`
    : sent.heardBy === 0
      ? 'Sent; no sheet is listening.'
      : 'Sent, and heard.';
