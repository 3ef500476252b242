/** The wireless tape, heard over a WebSocket (docs/tape-protocol.md). A reading is confirmed only when
 * it was kept, so a lost connection loses nothing: the tape sends again what nobody confirmed. */

export interface TapeReading {
  seq: number;
  id: string;
  /** The measure the tape was showing when its button was pressed. */
  for: string;
  value: string;
  unit: "cm" | "in";
}

type State = "none" | "reaching" | "connected" | "lost";
interface Told extends Partial<TapeReading> {
  type: string;
  battery?: number;
  percent?: number;
}

const AGAIN_AFTER = 700;

export class Tape {
  state = $state<State>("none");
  battery = $state<number | null>(null);
  unit = $state<"cm" | "in">("cm");
  live = $state<string | null>(null);
  /** Readings that have not been kept yet, oldest first. */
  waiting = $state.raw<TapeReading[]>([]);

  #socket: WebSocket | null = null;
  #again: ReturnType<typeof setTimeout> | undefined;
  #shown = "";
  #last = 0;
  #closed = false;

  constructor(
    readonly address: string,
    readonly onreading: () => void,
  ) {}

  connect(): void {
    this.#closed = false;
    this.state = this.state === "lost" ? "lost" : "reaching";
    const socket = (this.#socket = new WebSocket(this.address));
    socket.onopen = () => {
      this.state = "connected";
      this.#say({ say: "since", seq: this.#last });
      if (this.#shown) this.#say({ say: "show", measure: this.#shown });
    };
    socket.onmessage = (event) => this.#hear(event.data as string);
    socket.onclose = () => {
      if (this.#socket !== socket || this.#closed) return;
      this.state = "lost";
      this.live = null;
      this.#again = setTimeout(() => this.connect(), AGAIN_AFTER);
    };
  }

  close(): void {
    this.#closed = true;
    clearTimeout(this.#again);
    this.#socket?.close();
    this.state = "none";
  }

  /** Show a measure on the tape: the next reading is for it. */
  show(measure: string): void {
    if (this.#shown === measure) return;
    this.#shown = measure;
    this.#say({ say: "show", measure });
  }

  /** Take a reading now, as the tape's own button does. */
  read(): void {
    this.#say({ say: "read" });
  }

  /** This reading is kept, or was answered: the tape may forget it. */
  got(reading: TapeReading): void {
    this.waiting = this.waiting.filter((one) => one.seq !== reading.seq);
    this.#last = Math.max(this.#last, reading.seq);
    this.#say({ say: "got", seq: reading.seq });
  }

  #say(what: object): void {
    if (this.#socket?.readyState === WebSocket.OPEN) this.#socket.send(JSON.stringify(what));
  }

  #hear(text: string): void {
    const told = JSON.parse(text) as Told;
    if (told.battery !== undefined) this.battery = told.battery;
    if (told.percent !== undefined) this.battery = told.percent;
    if (told.unit) this.unit = told.unit;
    if (told.type === "live") this.live = told.value ?? null;
    if (told.type !== "reading") return;
    this.live = null;
    const reading = told as TapeReading;
    if (reading.seq <= this.#last || this.waiting.some((one) => one.seq === reading.seq)) return;
    this.waiting = [...this.waiting, reading];
    this.onreading();
  }
}
