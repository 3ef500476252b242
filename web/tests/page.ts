/** A page to render on, as the application has one: lists hang in its main part, and this browser lays nothing out. */
import { vi } from "vitest";

export function openPage(): void {
  document.body.replaceChildren(document.createElement("main"));
  Element.prototype.scrollIntoView = vi.fn();
}
