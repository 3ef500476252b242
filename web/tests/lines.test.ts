import { expect, it } from "vitest";
import { linesOf } from "../src/lib/edit/lines";

it("takes pieces a line each, or spoken one after another", () => {
  const three = ["navy trousers", "white tee", "camel coat"];
  expect(linesOf("navy trousers\n\n white tee \ncamel coat")).toEqual(three);
  expect(linesOf("navy trousers next white tee, next camel coat")).toEqual(three);
  expect(linesOf("Next, navy trousers next white tee\nNext. camel coat")).toEqual(three);
});

it("leaves with a piece what else is said of it", () => {
  const said = ["camel coat, chest 108.5; a button is off. Needs ironing.", "jeans by Orla Weft, size 30"];
  expect(linesOf(said.join("\n"))).toEqual(said);
  expect(linesOf("")).toEqual([]);
});
