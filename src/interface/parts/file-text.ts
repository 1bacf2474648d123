/** What a chosen file says, or why it is none that can be read. */
export type FileText =
  | {
      readonly text: string;
      /** How its signs were taken, where the file does not tell itself: to be looked at by whoever chose it. */
      readonly guess?: string;
    }
  | { readonly refusal: string };

const MOST_MB = 10;

const startsWith = (bytes: Uint8Array, ...start: readonly number[]) => start.every((byte, at) => bytes[at] === byte);

/** Spreadsheets write a table so that they can say which signs are in it, or by the alphabet of the machine. */
function decoded(bytes: Uint8Array): FileText {
  if (startsWith(bytes, 0xff, 0xfe)) return { text: new TextDecoder('utf-16le').decode(bytes) };
  if (startsWith(bytes, 0xfe, 0xff)) return { text: new TextDecoder('utf-16be').decode(bytes) };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), guess: 'Windows-1252, as western Europe writes' };
  }
}

/**
 * The text of a file that a person chose. A half (½) or a degree is another byte in each alphabet: what is not told by
 * the file is taken for the likeliest, and said.
 */
export async function textOfFile(file: Blob, most_MB = MOST_MB): Promise<FileText> {
  if (file.size > most_MB * 1e6)
    return { refusal: `The file is larger than can be read in at once: over ${most_MB} MB.` };
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (startsWith(bytes, 0x50, 0x4b, 3, 4) || startsWith(bytes, 0xd0, 0xcf, 0x11, 0xe0))
    return {
      refusal:
        'The file is a workbook, or packed: open it with what made it. A sheet of a workbook is saved as CSV to be read here.',
    };
  const read = decoded(bytes);
  return 'text' in read && read.text.includes('\0')
    ? { refusal: 'The file is no text: nothing in it can be read.' }
    : read;
}

/** The same file may be chosen again, once it was mended: a field that still holds it would not tell. */
export function chosenAnew({ currentTarget }: { readonly currentTarget: { value: string } }): void {
  currentTarget.value = '';
}
