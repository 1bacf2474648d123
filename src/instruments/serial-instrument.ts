import { createLineReader } from './lines-of-text';

/** What of the browser's serial interface is used; its types are in no library yet. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly open: (setup: { readonly baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
}

interface Serial {
  readonly requestPort: () => Promise<SerialPort>;
}

const serialOf = (): Serial | undefined => (navigator as { readonly serial?: Serial }).serial;

/** Whether this browser can speak to a serial port at all. */
export const hasSerial = (): boolean => typeof navigator !== 'undefined' && serialOf() !== undefined;

export interface SerialConnection {
  readonly stop: () => Promise<void>;
}

/**
 * Lets somebody choose a serial port and hands on each line that comes from it.
 * @param onLine one line of text, as it came
 * @param onEnd the port was closed, or pulled out
 * @throws DOMException where none was chosen or it cannot be opened
 */
export async function openSerial(
  baudRate: number,
  onLine: (line: string) => void,
  onEnd: (words?: string) => void,
): Promise<SerialConnection> {
  const serial = serialOf();
  if (!serial) throw new DOMException('This browser does not speak to serial ports.', 'NotSupportedError');
  const port = await serial.requestPort();
  await port.open({ baudRate });
  const reader = port.readable?.getReader();
  const lines = createLineReader();
  const decoder = new TextDecoder();
  const run = async () => {
    try {
      for (;;) {
        const piece = await reader?.read();
        if (!piece || piece.done) break;
        lines(decoder.decode(piece.value, { stream: true })).forEach(onLine);
      }
      onEnd();
    } catch (thrown) {
      onEnd(thrown instanceof Error ? thrown.message : String(thrown));
    } finally {
      reader?.releaseLock();
      await port.close().catch(() => {});
    }
  };
  void run();
  return { stop: async () => void (await reader?.cancel()) };
}
