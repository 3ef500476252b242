import { describe, expect, it } from "vitest";
import { History } from "../src/lib/client/history.svelte";

function counter() {
  const history = new History();
  const held = { value: 0 };
  const set = (to: number) => {
    const before = held.value;
    held.value = to;
    history.add({
      name: `to ${to}`,
      undo: () => void (held.value = before),
      redo: () => void (held.value = to),
    });
  };
  return { history, held, set };
}

describe("undo and redo", () => {
  it("go back and forth one step at a time and say which", async () => {
    const { history, held, set } = counter();
    set(1);
    set(2);
    expect(await history.undo()).toBe("to 2");
    expect(held.value).toBe(1);
    expect(await history.redo()).toBe("to 2");
    expect(held.value).toBe(2);
    expect(await history.redo()).toBeNull();
  });

  it("forget the way forward once something new is done", async () => {
    const { history, held, set } = counter();
    set(1);
    await history.undo();
    set(5);
    expect(history.future).toEqual([]);
    await history.undo();
    expect(held.value).toBe(0);
    expect(await history.undo()).toBeNull();
  });

  it("keep the last two hundred steps", async () => {
    const { history, set } = counter();
    for (let at = 0; at < 260; at += 1) set(at);
    expect(history.past).toHaveLength(200);
  });
});
