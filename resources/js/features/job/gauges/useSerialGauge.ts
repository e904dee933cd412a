import { useSyncExternalStore } from 'react';
import { NoReading, type ReadLine, readGaugeLine } from '../../../lib/gaugeLine';
import { HeldButton, LineFraming } from '../../../lib/gaugeWire';

/** The part of the browser's serial lines that is used here; only some browsers have it, and only where the page is secure. */
type Port = {
  open: (how: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
};
type Serial = { requestPort: () => Promise<Port> };

const serialOf = (): Serial | null => (navigator as Navigator & { serial?: Serial }).serial ?? null;

export const hasSerial = (): boolean => serialOf() !== null;

export type Wire = { instrument: string; speed: number; unit: string | null };

/** The one gauge on a wire of this device, whichever job is open. */
class SerialGauge {
  private state: { wire: Wire | null; trouble: string | null } = { wire: null, trouble: null };
  private port: Port | null = null;
  private reader: ReadableStreamDefaultReader<Uint8Array> | null = null;
  private listener: ((read: ReadLine, instrument: string) => void) | null = null;
  private readonly watchers = new Set<() => void>();

  get = () => this.state;

  subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };

  /** The job that is open hears what comes; with none open it goes nowhere. */
  hear(listener: ((read: ReadLine, instrument: string) => void) | null): void {
    this.listener = listener;
  }

  async connect(wire: Wire): Promise<void> {
    await this.disconnect();
    try {
      const port = await serialOf()?.requestPort();
      if (port === undefined) return;
      await port.open({ baudRate: wire.speed });
      this.port = port;
      this.become({ wire, trouble: null });
      void this.read(port, wire);
    } catch (error) {
      // Nothing was chosen in the browser's own list.
      if (error instanceof DOMException && error.name === 'NotFoundError') return;
      this.become({ wire: null, trouble: 'This line cannot be opened. Is something else using it?' });
    }
  }

  async disconnect(): Promise<void> {
    const { port, reader } = this;
    this.port = null;
    this.reader = null;
    await reader?.cancel().catch(() => undefined);
    await port?.close().catch(() => undefined);
    this.become({ wire: null, trouble: null });
  }

  private async read(port: Port, wire: Wire): Promise<void> {
    const framing = new LineFraming();
    const button = new HeldButton();
    const decoder = new TextDecoder('latin1');
    const reader = port.readable?.getReader() ?? null;
    this.reader = reader;
    try {
      for (;;) {
        const piece = await reader?.read();
        if (piece === undefined || piece.done) break;
        for (const line of framing.take(decoder.decode(piece.value), performance.now())) this.came(line, wire, button);
      }
    } catch {
      // Unplugged: said below.
    }
    if (this.port === port) this.become({ wire: null, trouble: 'The gauge was unplugged. Connect it again.' });
  }

  private came(line: string, wire: Wire, button: HeldButton): void {
    try {
      const read = readGaugeLine(line, { unit: wire.unit, before: '' });
      if (button.isPress(performance.now())) {
        this.become({ wire, trouble: null });
        this.listener?.(read, wire.instrument);
      } else if (button.hasJustStuck()) {
        this.become({
          wire,
          trouble: `It sends ${read.entered} again and again: one reading was taken. Is its button stuck?`,
        });
      }
    } catch (error) {
      if (!(error instanceof NoReading)) throw error;
      this.become({ wire, trouble: error.message });
    }
  }

  private become(state: SerialGauge['state']): void {
    this.state = state;
    for (const watcher of this.watchers) watcher();
  }
}

export const serialGauge = new SerialGauge();

export const useSerialGauge = () => useSyncExternalStore(serialGauge.subscribe, serialGauge.get);
