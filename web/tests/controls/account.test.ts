// @vitest-environment jsdom
/** One's own account: proven anew before it is changed, second factors set up and taken away, addresses, sessions. */
import { cleanup, render, screen } from "@testing-library/svelte";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Answer } from "../../src/lib/account/accounts";
import Address from "../../src/lib/account/Address.svelte";
import SecondFactor from "../../src/lib/account/SecondFactor.svelte";
import Sessions from "../../src/lib/account/Sessions.svelte";
import { openPage } from "../page";
import { on, reset, settled } from "../server";

vi.mock("../../src/lib/api/client", async () => ({
  ...(await import("../server")).fakeClient,
  token: () => "t",
}));
vi.mock("../../src/lib/account/accounts", () => ({
  accounts: (method: string, path: string, body?: unknown) => Promise.resolve(server(method, path, body)),
}));
vi.mock("../../src/lib/studio.svelte", () => ({
  studio: { load: () => Promise.resolve(), me: null, unit: "cm" },
}));

type Told = Partial<Answer>;
let asked: { what: string; body: unknown }[];
let answers: Record<string, Told | ((body: unknown) => Told)>;
/** Whether the server has had the password since it was asked for. */
let proven: boolean;
const PROVE: Told = { ok: false, status: 401, prove: true };

function server(method: string, path: string, body: unknown): Answer {
  const what = `${method} ${path}`;
  asked.push({ what, body });
  const answer = answers[what];
  if (!answer) throw new Error(`nobody answers ${what}`);
  const told = typeof answer === "function" ? answer(body) : answer;
  return { status: told.ok === false ? 400 : 200, ok: true, prove: false, said: "", ...told } as Answer;
}
const bodies = (what: string) => asked.filter((one) => one.what === what).map((one) => one.body);

beforeEach(() => {
  openPage();
  reset();
  asked = [];
  proven = false;
  answers = {
    "POST /auth/reauthenticate": (body) => {
      proven = (body as { password: string }).password === "four plain words";
      return proven ? {} : { ok: false, said: "This is not your password." };
    },
  };
});
afterEach(cleanup);

const proof = async (user: ReturnType<typeof userEvent.setup>, password: string) => {
  const field = await screen.findByLabelText("Your password");
  await vi.waitFor(() => expect(document.activeElement).toBe(field));
  await user.clear(field);
  await user.type(field, `${password}{Enter}`);
  await settled();
};

describe("a second factor", () => {
  const factors = () => (answers["GET /account/authenticators"] as { data: unknown[] }).data;
  beforeEach(() => {
    on("POST", "/api/account/qr", () => ({ data: { picture: "data:image/svg+xml,x" } }));
    answers["GET /account/authenticators"] = { data: [] };
    answers["GET /account/authenticators/totp"] = {
      ok: false,
      status: 404,
      meta: { secret: "ABCD", totp_url: "otpauth://x" },
    };
    answers["POST /account/authenticators/totp"] = (body) => {
      if ((body as { code: string }).code !== "123456") return { ok: false, said: "This code is not right." };
      return proven ? {} : PROVE;
    };
    answers["GET /account/authenticators/recovery-codes"] = { data: { unused_codes: ["one", "two"] } };
  });
  const shown = async () => {
    const user = userEvent.setup();
    render(SecondFactor);
    await user.click(await screen.findByRole("button", { name: "Set up" }));
    screen.getByText("ABCD");
    return user;
  };

  it("is set up with the code of the app, after proof, and shows its recovery codes once", async () => {
    const user = await shown();
    const code = screen.getByLabelText(/The code it shows now/);
    await vi.waitFor(() => expect(document.activeElement).toBe(code));
    await user.type(code, "123{Enter}");
    expect((await screen.findByRole("alert")).textContent).toBe("This code is not right.");
    await user.type(code, "456{Enter}");
    await proof(user, "four plain words");
    await screen.findByText("two");
    expect(bodies("POST /account/authenticators/totp")).toEqual([
      { code: "123" },
      { code: "123456" },
      { code: "123456" },
    ]);
    expect(screen.queryByLabelText(/The code it shows now/)).toBeNull();
    await user.click(screen.getByRole("button", { name: "They are written down" }));
    expect(screen.queryByText("two")).toBeNull();
  });

  it("asks for the password until it is right, and gives the hand back where it was", async () => {
    const user = await shown();
    const code = screen.getByLabelText(/The code it shows now/);
    await user.type(code, "123456{Enter}");
    await proof(user, "something else");
    expect(screen.getByText("This is not your password.")).toBeTruthy();
    await user.click(screen.getAllByRole("button", { name: "Leave it" }).at(-1) as HTMLElement);
    await settled();
    expect(screen.queryByLabelText("Your password")).toBeNull();
    expect(document.activeElement).toBe(code);
    expect((code as HTMLInputElement).value).toBe("123456");
  });

  it("is taken away, and others stay", async () => {
    answers["GET /account/authenticators"] = {
      data: [
        { type: "totp", created_at: 1_700_000_000, last_used_at: null },
        { type: "webauthn", id: 7, name: "Studio tablet", created_at: 1_700_000_000, last_used_at: null },
        { type: "recovery_codes", unused_code_count: 9, created_at: 1_700_000_000, last_used_at: null },
      ],
    };
    answers["DELETE /account/authenticators/webauthn"] = () => {
      answers["GET /account/authenticators"] = { data: factors().filter((_, at) => at !== 1) };
      return {};
    };
    const user = userEvent.setup();
    render(SecondFactor);
    await screen.findByText(/^Studio tablet, since/);
    screen.getByText("9 left, each good once");
    await user.click(screen.getAllByRole("button", { name: "Take away" })[1] as HTMLElement);
    await settled();
    expect(bodies("DELETE /account/authenticators/webauthn")).toEqual([{ authenticators: [7] }]);
    expect(screen.queryByText(/^Studio tablet, since/)).toBeNull();
    expect(screen.getAllByRole("button", { name: "Take away" })).toHaveLength(1);
  });

  it("says where the server does not answer", async () => {
    answers["GET /account/authenticators"] = {
      ok: false,
      said: "The server does not answer. What you typed stays here.",
    };
    render(SecondFactor);
    expect((await screen.findByRole("alert")).textContent).toMatch(/^The server does not answer/);
  });
});

describe("addresses", () => {
  beforeEach(() => {
    answers["GET /account/email"] = {
      data: [
        { email: "ivy@hollinrow.example", verified: true, primary: true },
        { email: "ivy.moss@hollinrow.example", verified: false, primary: false },
        { email: "moss@hollinrow.example", verified: true, primary: false },
      ],
    };
    answers["POST /account/email"] = () => (proven ? {} : PROVE);
    answers["PATCH /account/email"] = {};
  });

  it("are added after proof, and kept as typed where it was left", async () => {
    const user = userEvent.setup();
    render(Address);
    await screen.findByText("a letter to it waits to be answered");
    const field = screen.getByLabelText("Another address");
    await user.type(field, "new@hollinrow.example{Enter}");
    await user.click(await screen.findByRole("button", { name: "Leave it" }));
    await settled();
    expect((field as HTMLInputElement).value).toBe("new@hollinrow.example");
    await user.type(field, "{Enter}");
    await proof(user, "four plain words");
    expect((field as HTMLInputElement).value).toBe("");
    expect(bodies("POST /account/email")).toHaveLength(3);
  });

  it("become the one that is signed in with only once they were confirmed", async () => {
    const user = userEvent.setup();
    render(Address);
    const buttons = await screen.findAllByRole("button", { name: "Sign in with this one" });
    expect(buttons).toHaveLength(1);
    await user.click(buttons[0] as HTMLElement);
    expect(bodies("PATCH /account/email")).toEqual([{ email: "moss@hollinrow.example", primary: true }]);
  });
});

describe("where one is signed in", () => {
  const row = (id: number, is_current: boolean) => ({
    ...{ id, is_current, ip: "127.0.0.1", created_at: 1_700_000_000 },
    user_agent: "Mozilla/5.0 (iPad; CPU OS 17) AppleWebKit/605 Version/17 Safari/604",
  });

  it("is ended one by one or all at once, and never here", async () => {
    let rows = [row(1, true), row(2, false), row(3, false)];
    answers["GET /auth/sessions"] = () => ({ data: rows });
    answers["DELETE /auth/sessions"] = (body) => {
      rows = rows.filter((one) => !(body as { sessions: number[] }).sessions.includes(one.id));
      return {};
    };
    const user = userEvent.setup();
    render(Sessions);
    const each = await screen.findAllByRole("button", { name: "End it" });
    expect(each).toHaveLength(2);
    screen.getByText("this one");
    await user.click(each[0] as HTMLElement);
    await settled();
    expect(screen.getAllByText("Safari on iPad")).toHaveLength(2);
    await user.click(screen.getByRole("button", { name: "End all others" }));
    await settled();
    expect(bodies("DELETE /auth/sessions")).toEqual([{ sessions: [2] }, { sessions: [3] }]);
    expect(screen.queryByRole("button", { name: "End all others" })).toBeNull();
  });
});
