"""A hem dragged in a real browser: how long from each move of the hand until the edge with its number, and until the
figure with the reasons, are painted as the hand says."""

from __future__ import annotations

import tempfile

from tests.browser.conftest import Stylist, chrome, demo_server

MOVES = 120
#: A hand moves as often as the screen is painted, ms.
EVERY = 16

#: The edge follows the hand by itself. The figure waits for the first answer that is shown to a question asked at or after
#: the move.
_WATCH = """
const handle = document.querySelector('[data-handle=leg_hem]');
const edge = document.querySelector('[data-edge=leg_hem] path');
const cloth = document.querySelector('[aria-labelledby=figure-name] path[data-slot=bottom]');
performance.setResourceTimingBufferSize(5000);
const answers = () => performance.getEntriesByType('resource').filter((one) => one.name.endsWith('/assess'));
const watch = (what, attribute, settledBy) => {
  const took = [];
  let waiting = [];
  handle.addEventListener('pointermove', () => waiting.push(performance.now()));
  new MutationObserver(() => {
    const until = settledBy();
    const settled = waiting.filter((at) => at <= until);
    waiting = waiting.filter((at) => at > until);
    requestAnimationFrame(() => setTimeout(() => {
      const painted = performance.now();
      took.push(...settled.map((at) => painted - at));
    }));
  }).observe(what, { attributes: true, attributeFilter: [attribute] });
  return took;
};
const took = [
  watch(edge, 'd', () => performance.now()),
  watch(cloth, 'd', () => Math.max(...answers().map((one) => one.startTime))),
];
const box = handle.getBoundingClientRect();
const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
// The hand moves in the page itself: a driver in between would take the processor that is being measured.
const send = (kind, at) =>
  handle.dispatchEvent(
    new PointerEvent(kind, { pointerId: 1, clientX: x, clientY: at, button: 0, buttons: 1, bubbles: true }),
  );
send('pointerdown', y);
let at = 0;
// Up, and back down again: the look is left as it was. No place twice, or an answer would change nothing on the screen.
const away = () => Math.min(at, Math.max(0, arguments[0] - at - 0.5));
const hand = setInterval(() => {
  if (at++ < arguments[0]) return send('pointermove', y - away());
  clearInterval(hand);
  send('pointerup', y);
  setTimeout(() => arguments[2](took), 1500);
}, arguments[1]);
"""


def latencies() -> tuple[list[float], list[float]]:
    """Milliseconds from each move of one long drag to the painted edge, and to the painted figure."""
    with demo_server() as server, tempfile.TemporaryDirectory() as profile:
        driver = chrome("1280,800", profile)
        try:
            driver.set_script_timeout(30)
            return _dragged(Stylist(driver, server))
        finally:
            driver.quit()


def _dragged(stylist: Stylist) -> tuple[list[float], list[float]]:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("looks")
    stylist.wait(lambda: stylist.find("[data-look='Day in town'] button").click() is None)
    stylist.step("dress")
    stylist.wait(lambda: stylist.find("[placeholder='Unnamed look']").get_attribute("value") == "Day in town")
    stylist.wait(lambda: len(stylist.all("[data-rail]")) > 15, "the rail")
    edge, figure = stylist.driver.execute_async_script(_WATCH, MOVES, EVERY)
    assert min(len(edge), len(figure)) > MOVES / 2, "the edge or the figure did not follow the hand"
    return edge, figure
