import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { Tape } from "../src/lib/measure/tape.svelte";

/** The tape’s end of the socket. */
class Socket {
  static readonly OPEN = 1;
  static all: Socket[] = [];
  static get last(): Socket {
    return Socket.all.at(-1)!;
  }
  readyState = 0;
  said: Record<string, unknown>[] = [];
  onopen?: () => void;
  onmessage?: (event: { data: string }) => void;
  onclose?: () => void;
  constructor(readonly address: string) {
    Socket.all.push(this);
  }
  send(text: string): void {
    this.said.push(JSON.parse(text) as Record<string, unknown>);
  }
  open(): void {
    this.readyState = Socket.OPEN;
    this.onopen?.();
  }
  tell(message: object): void {
    this.onmessage?.({ data: JSON.stringify(message) });
  }
  close(): void {
    this.readyState = 3;
    this.onclose?.();
  }
}

const reading = (seq: number, value = "100.2") => ({
  type: "reading",
  seq,
  id: `r${seq}`,
  for: "hip",
  value,
  unit: "cm",
  battery: 80,
});

let heard: number;
let tape: Tape;
beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal("WebSocket", Socket);
  Socket.all = [];
  heard = 0;
  tape = new Tape("ws://127.0.0.1:1", () => (heard += 1));
  tape.connect();
  Socket.last.open();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("the wireless tape", () => {
  it("asks for what it has not heard and shows the measure at hand", () => {
    tape.show("hip");
    expect(tape.state).toBe("connected");
    expect(Socket.last.said).toEqual([
      { say: "since", seq: 0 },
      { say: "show", measure: "hip" },
    ]);
    tape.show("hip");
    expect(Socket.last.said).toHaveLength(2);
  });

  it("keeps a reading waiting until it is confirmed, and counts one that comes twice once", () => {
    Socket.last.tell({ type: "live", value: "71.2", unit: "cm" });
    expect(tape.live).toBe("71.2");
    Socket.last.tell(reading(1));
    Socket.last.tell(reading(1));
    expect(tape.live).toBeNull();
    expect([tape.waiting.length, heard, tape.battery]).toEqual([1, 1, 80]);
    tape.got(tape.waiting[0]!);
    expect(tape.waiting).toEqual([]);
    expect(Socket.last.said.at(-1)).toEqual({ say: "got", seq: 1 });
    Socket.last.tell(reading(1));
    expect(tape.waiting).toEqual([]);
  });

  it("comes back after a drop-out, asks from the last kept reading on, and shows the measure again", () => {
    tape.show("hip");
    Socket.last.tell(reading(1));
    tape.got(tape.waiting[0]!);
    Socket.last.close();
    expect(tape.state).toBe("lost");
    vi.advanceTimersByTime(1000);
    expect(Socket.all).toHaveLength(2);
    expect(tape.state).toBe("lost");
    Socket.last.open();
    expect(tape.state).toBe("connected");
    expect(Socket.last.said).toEqual([
      { say: "since", seq: 1 },
      { say: "show", measure: "hip" },
    ]);
    Socket.last.tell(reading(2));
    expect(tape.waiting.map((one) => one.seq)).toEqual([2]);
  });

  it("says its unit and that it runs low, and stays closed when it is put away", () => {
    Socket.last.tell({ type: "unit", unit: "in" });
    Socket.last.tell({ type: "battery", percent: 9 });
    expect([tape.unit, tape.battery]).toEqual(["in", 9]);
    tape.close();
    vi.advanceTimersByTime(5000);
    expect([tape.state, Socket.all.length]).toEqual(["none", 1]);
    tape.read();
    expect(Socket.last.said).toEqual([{ say: "since", seq: 0 }]);
  });
});
