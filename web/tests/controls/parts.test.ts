// @vitest-environment jsdom
/** Parts of screens by themselves: somebody found by their name, what a plan keeps to, where the studio works, letters. */
import { cleanup, render, screen, within } from "@testing-library/svelte";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { History } from "../../src/lib/client/history.svelte";
import type { Diary } from "../../src/lib/diary/diary.svelte";
import Holidays from "../../src/lib/diary/Holidays.svelte";
import { Hand } from "../../src/lib/hand/hand.svelte";
import LetterView from "../../src/lib/hand/LetterView.svelte";
import ClientPicker from "../../src/lib/people/ClientPicker.svelte";
import Asks from "../../src/lib/plan/Asks.svelte";
import OpenTo from "../../src/lib/studio/OpenTo.svelte";
import LikeThis from "../../src/lib/rack/LikeThis.svelte";
import type { Plan, Plans } from "../../src/lib/plan/plans.svelte";
import { studio } from "../../src/lib/studio.svelte";
import { notice } from "../../src/lib/ui/notice.svelte";
import { openPage } from "../page";
import { calls, on, refuse, reset, sent, settled } from "../server";

vi.mock("../../src/lib/api/client", async () => (await import("../server")).fakeClient);

beforeEach(() => {
  reset();
  openPage();
});
afterEach(() => {
  cleanup();
  document.body.replaceChildren();
});

describe("somebody found by their name", () => {
  const rows = ["Orla Vance", "Orla Wick"].map((name, at) => ({ id: `c${at}`, name, marks: [] }));
  const picker = (value: string | null = null) => {
    on("GET", "/api/clients", ({ query }) => {
      const found = rows.filter((row) => row.name.includes(String(query.q)));
      return { data: { total: found.length && 7, rows: found } };
    });
    const onchange = vi.fn();
    render(ClientPicker, { label: "of", value, name: value ? "Orla Vance" : "", none: "nobody", onchange });
    return { onchange, user: userEvent.setup(), field: screen.getByRole("combobox", { name: "of" }) };
  };

  it("is taken from the list by keyboard, and the list says how many more there are", async () => {
    const { onchange, user, field } = picker();
    await user.type(field, "Wick");
    await vi.waitFor(() => expect(calls.at(-1)?.query).toMatchObject({ q: "Wick" }));
    await screen.findByText("Orla Wick");
    screen.getByText("6 more: write some of the name");
    await user.keyboard("{ArrowDown}{Enter}");
    expect(onchange).toHaveBeenCalledExactlyOnceWith({ id: "c1", name: "Orla Wick" });
  });

  it("is said not to be there, and a server that fails says why", async () => {
    const { user, field } = picker();
    await user.type(field, "Zeb");
    await screen.findByText("Nobody is called so.");
    on("GET", "/api/clients", () => refuse(503, "The database is away."));
    await user.type(field, "u");
    await screen.findByText("The database is away.");
  });

  it("gives way to nobody", async () => {
    const { onchange, user, field } = picker("c0");
    expect((field as HTMLInputElement).value).toBe("Orla Vance");
    await user.click(screen.getByRole("button", { name: "of: nobody" }));
    expect(onchange).toHaveBeenCalledExactlyOnceWith(null);
  });
});

describe("what a plan keeps to", () => {
  const shown = (kind: "week" | "trip") => {
    const change = vi.fn();
    const asks = { wash: [5], takes: 1, kilos: null, pieces: null, shoes: 2 };
    render(Asks, { plans: { change } as unknown as Plans, plan: { kind, asks } as unknown as Plan });
    return { asks, told: () => (change.mock.lastCall?.[1] as { asks: typeof asks }).asks, change };
  };

  it("takes a day of the wash and gives it back", async () => {
    const { asks, told } = shown("week");
    await userEvent.click(screen.getByRole("button", { name: "Mon" }));
    expect(told()).toEqual({ ...asks, wash: [0, 5] });
    await userEvent.click(screen.getByRole("button", { name: "Sat", pressed: true }));
    expect(told().wash).toEqual([]);
    expect(screen.queryByLabelText(/bag up to/)).toBeNull();
  });

  it.each([
    ["bag up to", "7,5", { kilos: 7.5 }],
    ["bag up to", "900", { kilos: 60 }],
    ["bag up to", "light", { kilos: null }],
    ["pieces up to", "11.6", { pieces: 12 }],
    ["pairs of shoes", "0", { shoes: 1 }],
  ])("reads %s %s", async (label, text, asked) => {
    const { asks, told } = shown("trip");
    const field = screen.getByLabelText(new RegExp(label));
    await userEvent.clear(field);
    await userEvent.type(field, `${text}{Tab}`);
    expect(told()).toEqual({ ...asks, ...asked });
  });

  it("keeps the pairs of shoes where no number is said", async () => {
    const { change } = shown("trip");
    await userEvent.clear(screen.getByLabelText(/pairs of shoes/));
    await userEvent.tab();
    expect(change).not.toHaveBeenCalled();
    expect((screen.getByLabelText(/pairs of shoes/) as HTMLInputElement).value).toBe("2");
  });
});

describe("where the studio works", () => {
  const load = vi.fn();
  beforeEach(() => {
    load.mockReset();
    studio.me = { studio: { holidays_of: "", version: 1 }, rights: [] } as unknown as typeof studio.me;
    on("GET", "/api/diary/countries", () => ({
      data: [
        { country: "DE", parts: [{ place: "DE-BY", name: "Bavaria" }] },
        { country: "AT", parts: [] },
      ],
    }));
    on("PATCH", "/api/studio", ({ body }) => ({ data: { ...studio.me?.studio, ...body } }));
  });

  it("is a country, then a part of it, and the diary is read anew", async () => {
    render(Holidays, { diary: { load } as unknown as Diary });
    const country = screen.getByRole("combobox", { name: /Country/ });
    await screen.findByRole("option", { name: "Germany" });
    const names = within(country)
      .getAllByRole("option")
      .map((one) => one.textContent);
    expect(names).toEqual(["none", "Austria", "Germany"]);
    await userEvent.selectOptions(country, "DE");
    await userEvent.selectOptions(await screen.findByRole("combobox", { name: /Part/ }), "DE-BY");
    await settled();
    expect(sent("/api/studio").map((body) => body.holidays_of)).toEqual(["DE", "DE-BY"]);
    expect(load).toHaveBeenCalledTimes(2);
  });

  it("stays as it was where that is refused, and says why", async () => {
    on("PATCH", "/api/studio", () => refuse(403, "Only an owner says so."));
    render(Holidays, { diary: { load } as unknown as Diary });
    await screen.findByRole("option", { name: "Germany" });
    const country = screen.getByRole("combobox", { name: /Country/ });
    await userEvent.selectOptions(country, "DE");
    await screen.findByText("Only an owner says so.");
    expect((country as HTMLSelectElement).value).toBe("");
  });
});

describe("letters", () => {
  const letter = (state: string, more = {}) => ({
    ...{ id: state, to: "p@lune.example", subject: state, at: "2026-03-02T10:00:00Z", by: "Maud Averill" },
    ...{ state, answer: "", again_at: null, ...more },
  });
  let held: ReturnType<typeof letter>[];
  const shown = async () => {
    on("GET", "/api/clients/c/letters", () => ({ data: { letters: held, can_send: true } }));
    render(LetterView, { hand: new Hand("c", new History()), name: "Petra Lune", house: "Hollin Row" });
    await settled();
  };

  it("are stopped while they wait, and sent after all", async () => {
    held = [letter("waiting", { answer: "mailbox full", again_at: "2026-03-02T10:05:00Z" })];
    on("POST", "/api/letters/waiting/post", ({ body }) => {
      held = [letter(body.go ? "sent" : "stopped")];
      return { data: held[0] };
    });
    on("POST", "/api/letters/stopped/post", () => {
      held = [letter("sent")];
      return { data: held[0] };
    });
    await shown();
    screen.getByText(/mailbox full.*it is tried again/);
    await userEvent.click(await screen.findByRole("button", { name: "stop it" }));
    await screen.findByText("Stopped before it went.");
    await userEvent.click(screen.getByRole("button", { name: "send it now" }));
    await screen.findByText("Sent.");
    expect(screen.queryByRole("button", { name: "send it now" })).toBeNull();
    expect(sent("/api/letters/waiting/post")).toEqual([{ go: false }]);
  });

  it("say why they were refused, and what could not be done", async () => {
    held = [letter("refused", { answer: "no such mailbox" })];
    on("POST", "/api/letters/refused/post", () => refuse(409, "It was sent meanwhile."));
    await shown();
    screen.getByText("Not sent: no such mailbox.");
    await userEvent.click(screen.getByRole("button", { name: "send it now" }));
    await settled();
    expect(notice.text).toBe("It was sent meanwhile.");
  });

  it("are written to the last address, and stay as typed where they are refused", async () => {
    held = [letter("sent")];
    on("POST", "/api/clients/c/letters", () => refuse(422, "That is no address."));
    await shown();
    const to = screen.getByLabelText<HTMLInputElement>("to");
    expect(to.value).toBe("p@lune.example");
    await userEvent.clear(screen.getByLabelText("text"));
    await userEvent.type(screen.getByLabelText("text"), "Dear Petra");
    await userEvent.click(screen.getByRole("button", { name: "Send" }));
    await screen.findByText("That is no address.");
    expect(screen.getByLabelText<HTMLTextAreaElement>("text").value).toBe("Dear Petra");
    expect(sent("/api/clients/c/letters")[0]).toMatchObject({ to: "p@lune.example", send: true });
  });
});

describe("to whom a client is open", () => {
  const colleagues = [
    { id: 1, name: "Tobin Lark", role: "stylist" },
    { id: 2, name: "Juno Pell", role: "apprentice" },
    { id: 3, name: "Lark Penn", role: "front_desk" },
  ];
  let kept: { restricted: boolean; members: number[] };
  const shown = async () => {
    kept = { restricted: false, members: [] };
    on("GET", "/api/clients/c/assigned", () => ({ data: { ...kept, colleagues } }));
    on("PATCH", "/api/clients/c/assigned", async ({ body }) => {
      await Promise.resolve();
      const { restricted = kept.restricted, add = [] } = body as { restricted?: boolean; add?: number[] };
      kept = { restricted, members: [...kept.members, ...add] };
      return { data: { ...kept, colleagues } };
    });
    render(OpenTo, { client: "c" });
    await screen.findByLabelText(/Juno Pell/);
  };

  it("keeps both of two quick clicks, and names the front desk to nobody", async () => {
    await shown();
    screen.getByLabelText(/Juno Pell/).click();
    screen.getByLabelText(/those ticked alone/).click();
    // Meanwhile somebody else ticked another.
    kept.members = [1];
    await settled();
    expect(kept).toEqual({ restricted: true, members: [1, 2] });
    await vi.waitFor(() => expect(screen.getByLabelText<HTMLInputElement>(/Tobin Lark/).checked).toBe(true));
    expect(screen.queryByLabelText(/Lark Penn/)).toBeNull();
  });

  it("stands as it was where that is refused", async () => {
    await shown();
    on("PATCH", "/api/clients/c/assigned", () => refuse(403, "Not for an apprentice."));
    screen.getByLabelText(/Tobin Lark/).click();
    await screen.findByText("Not for an apprentice.");
    await vi.waitFor(() => expect(screen.getByLabelText<HTMLInputElement>(/Tobin Lark/).checked).toBe(false));
  });
});

describe("shopping for a piece's figures", () => {
  const piece = { id: "p", version: 1, title: "jeans" };
  const offer = { name: "Straight leg", maker: "Fenwick Loom", size: "M", price: "80 EUR", id: "x" };
  const differs = [
    { figure: "inseam", cm: -1.5 },
    { figure: "waist", cm: 2 },
    { figure: "hip", cm: 0 },
  ];

  it("says what differs and what is not told", async () => {
    const like = {
      offer: { ...offer, placed: { stance: "fits" } },
      differs,
      untold: ["thigh"],
      other_words: ["mid rise"],
    };
    on("GET", "/api/rack/p/like", () => ({ data: { figures: ["waist", "hip", "inseam"], likes: [like] } }));
    render(LikeThis, { piece: piece as never, heel: 0 });
    await userEvent.click(screen.getByRole("button", { name: "Shop for its figures" }));
    await screen.findByText("Straight leg");
    expect(calls.at(-1)?.query).toEqual({ heel_cm: 0 });
    screen.getByText("same hip; inseam 1.5 cm shorter; waist 2 cm wider; mid rise instead; thigh not told.");
  });

  it("asks to measure it first, and says where the shops are silent", async () => {
    on("GET", "/api/rack/p/like", () => refuse(503, "The shop does not answer."));
    render(LikeThis, { piece: piece as never, heel: 0 });
    await userEvent.click(screen.getByRole("button", { name: "Shop for its figures" }));
    await screen.findByText("The shop does not answer.");
    on("GET", "/api/rack/p/like", () => ({ data: { figures: [], likes: [] } }));
    await userEvent.click(screen.getByRole("button", { name: "Shop for its figures" }));
    await screen.findByText(/Measure what sits well of it first/);
  });
});
