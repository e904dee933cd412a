import { useSyncExternalStore } from 'react';
import type { GaugeReading } from '../../../api/gauges';
import { type Dimension, NoReading, type ReadLine, readGaugeLine } from '../../../lib/gaugeLine';
import { HeldButton, LineFraming, type RecordedPull, Recorder } from '../../../lib/gaugeWire';
import { uuid } from '../../../lib/uuid';
import { Watched } from '../../../lib/watched';

/** The part of the browser's serial lines that is used here; only some browsers have it, and only where the page is secure. */
type Port = {
  open: (how: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
};
type Serial = { requestPort: () => Promise<Port> };

const serialOf = (): Serial | null => (navigator as Navigator & { serial?: Serial }).serial ?? null;

export const hasSerial = (): boolean => serialOf() !== null;

export type Wire = { instrument: string; name: string; dimension: Dimension; speed: number; unit: string | null };

/** Who hears what comes; pulls only where a curve is taken. */
type Listener = { reading: (read: ReadLine, wire: Wire) => void; pull?: (pull: RecordedPull) => void };

/** The one gauge on a wire of this device, whichever job is open. */
class SerialGauge extends Watched {
  private state: { wire: Wire | null; trouble: string | null } = { wire: null, trouble: null };
  private port: Port | null = null;
  private reader: ReadableStreamDefaultReader<Uint8Array> | null = null;
  private listener: Listener | null = null;

  get = () => this.state;

  /** The job that is open hears what comes, until what this returns is called; with none open it goes nowhere. */
  hear(listener: Listener): () => void {
    this.listener = listener;
    return () => {
      if (this.listener === listener) this.listener = null;
    };
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
    const came = this.reading(wire);
    const decoder = new TextDecoder('latin1');
    const reader = port.readable?.getReader() ?? null;
    this.reader = reader;
    try {
      for (;;) {
        const piece = await reader?.read();
        if (piece === undefined || piece.done) break;
        for (const line of framing.take(decoder.decode(piece.value), performance.now())) this.came(line, wire, came);
      }
    } catch {
      // Unplugged: said below.
    }
    if (this.port === port) this.become({ wire: null, trouble: 'The gauge was unplugged. Connect it again.' });
  }

  /** What is done with each line that is a reading: of a length it is a press, of a force it may be one of a pull. */
  private reading(wire: Wire): (read: ReadLine) => void {
    const pressed = (read: ReadLine) => {
      this.become({ wire, trouble: null });
      this.listener?.reading(read, wire);
    };
    if (wire.dimension === 'force') {
      const recorder = new Recorder(
        pressed,
        (pull) => this.pulled(pull, wire),
        (trouble) => this.become({ wire, trouble }),
      );
      return (read) => recorder.take(read, performance.now());
    }
    const button = new HeldButton();
    return (read) => {
      if (button.isPress(performance.now())) pressed(read);
      else if (button.hasJustStuck())
        this.become({
          wire,
          trouble: `It sends ${read.entered} again and again: one reading was taken. Is its button stuck?`,
        });
    };
  }

  private pulled(pull: RecordedPull, wire: Wire): void {
    if (this.listener?.pull !== undefined) this.listener.pull(pull);
    else
      this.become({
        wire,
        trouble: `It sent ${pull.lines} forces one after the other. Open The pull as a curve, and pull again there.`,
      });
  }

  private came(line: string, wire: Wire, take: (read: ReadLine) => void): void {
    try {
      const read = readGaugeLine(line, { unit: wire.unit, before: '', whileMoving: wire.dimension === 'force' });
      if (read.dimension === wire.dimension) take(read);
      else
        this.become({
          wire,
          trouble: `It sent ${read.entered}, which is a ${read.dimension}; ${wire.name} shows a ${wire.dimension}. Nothing was taken.`,
        });
    } catch (error) {
      if (!(error instanceof NoReading)) throw error;
      this.become({ wire, trouble: error.message });
    }
  }

  private become(state: SerialGauge['state']): void {
    this.state = state;
    this.tell();
  }
}

export const serialGauge = new SerialGauge();

/** What came over a wire of this device, as what comes from elsewhere. */
export const ownReading = (read: ReadLine, { instrument, name }: Wire): GaugeReading => ({
  id: uuid(),
  instrument,
  name,
  entered: read.entered,
  dimension: read.dimension,
  low_battery: read.lowBattery,
  at: new Date().toISOString(),
  late: false,
});

export const useSerialGauge = () => useSyncExternalStore(serialGauge.subscribe, serialGauge.get);
