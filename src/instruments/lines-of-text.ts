const MAX_LINE = 4000;

/**
 * Puts together the lines of a stream that comes in pieces, as a serial port gives it. A line that never ends is let
 * go of, so that noise on the wire fills nothing.
 */
export function createLineReader() {
  let begun = '';
  return (piece: string): readonly string[] => {
    const parts = (begun + piece).split(/\r\n|\n|\r/);
    begun = (parts.pop() ?? '').slice(-MAX_LINE);
    return parts.map((line) => line.trim()).filter((line) => line !== '' && line.length <= MAX_LINE);
  };
}
