"""A real server on a database of its own with the demo data, and a headless Chromium."""

from __future__ import annotations

import contextlib
import os
import signal
import subprocess
import tempfile
import time
from collections.abc import Callable, Iterator
from dataclasses import dataclass, field
from typing import Any

import psycopg
import pytest
from selenium import webdriver
from selenium.webdriver.chrome.service import Service
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.webelement import WebElement

from house import serve, setup
from house.places import PYTHON, ROOT
from house.postgres import free_port
from studio.people.demo import STYLISTS

PASSWORD = "browser-test-words"
#: How long somebody looks for what they expect, s: other tests may be at work on the same machine.
PATIENCE = 40
#: How long until they look again, s: often at first, then seldom, for looking takes from what works at the answer.
SOONEST, LATEST = 0.03, 0.4
DATABASE = "basilwood_browser"
#: The first of some controls that is called so, or whose words hold that.
NAMED = """
const [css, text, whole] = arguments
const words = (one) => (one.innerText ?? one.textContent).split(/\\s+/).join(' ').trim()
return [...document.querySelectorAll(css)].find((one) => (whole ? words(one) === text : words(one).includes(text))) ?? null
"""
AXE = ROOT / "web" / "node_modules" / "axe-core" / "axe.min.js"


class Element(WebElement):
    """What stands on a page, read as the browser reads it: WebDriver's own way takes up to a second for a large page."""

    @property
    def text(self) -> str:
        told = self.parent.execute_script("return (arguments[0].innerText ?? arguments[0].textContent).trim()", self)
        return str(told)


class Chrome(webdriver.Chrome):
    """The browser, whose elements are read quickly."""

    _web_element_cls = Element


@dataclass
class Server:
    """The application server on the test cluster and the tape; both can be stopped and started again."""

    env: dict[str, str]
    port: int = field(default_factory=free_port)
    process: subprocess.Popen[bytes] | None = None
    stands: serve.Stands = field(default_factory=serve.Stands)
    tape: subprocess.Popen[bytes] | None = None
    #: The shop, the outbox and the weather.
    others: list[subprocess.Popen[bytes]] = field(default_factory=list)
    worker: subprocess.Popen[bytes] | None = None

    @property
    def address(self) -> str:
        return f"http://127.0.0.1:{self.port}"

    def start(self) -> None:
        if not self.others:
            stands = self.stands
            asked = ((serve.shop, stands.shop), (serve.outbox, stands.outbox), (serve.weather, stands.weather))
            self.others = [start(port, self.env) for start, port in asked]
        self.process = serve.gunicorn(self.port, {**self.env, **self.stands.addresses()}, "--workers", "1")
        serve.wait_for(self.port, self.process)

    def stop(self) -> None:
        if self.process:
            serve.stop(self.process)

    def fresh_tape(self, *words: str) -> None:
        """A tape that has read nothing yet, where the desk looks for it."""
        self.no_tape()
        self.tape = serve.tape(self.stands.tape, self.env, *words)

    def work(self) -> None:
        """A worker of the queue, anew where one was killed."""
        if self.worker is None or self.worker.poll() is not None:
            self.worker = serve.worker({**self.env, **self.stands.addresses()})

    def no_worker(self) -> None:
        """No worker: one that works is killed outright, with what it had begun."""
        if self.worker and self.worker.poll() is None:
            os.killpg(self.worker.pid, signal.SIGKILL)
            self.worker.wait()

    def no_tape(self) -> None:
        if self.tape:
            serve.stop(self.tape)

    def restart(self) -> None:
        self.stop()
        self.start()


def _admin(statement: str) -> None:
    held = {key: os.environ[f"BASILWOOD_DB_{key.upper()}"] for key in ("host", "port", "user", "password")}
    with psycopg.connect(dbname="postgres", autocommit=True, **held) as link:
        link.execute(statement)  # type: ignore[arg-type]


@contextlib.contextmanager
def demo_server() -> Iterator[Server]:
    """A server on a fresh database with the demo data."""
    _admin(f"DROP DATABASE IF EXISTS {DATABASE}")
    _admin(f"CREATE DATABASE {DATABASE}")
    held = {key: value for key, value in os.environ.items() if key.startswith("BASILWOOD_")}
    env = {**held, **setup.SETTINGS, "BASILWOOD_DB_NAME": DATABASE, "BASILWOOD_DEMO_PASSWORD": PASSWORD}
    words = [PYTHON, "-m", "django", "load_demo", "--migrate"]
    ended = subprocess.run(words, cwd=ROOT, env={**os.environ, **env}, check=False, capture_output=True, text=True)
    assert ended.returncode == 0, ended.stderr[-3000:]
    running = Server(env)
    running.start()
    try:
        yield running
    finally:
        running.stop()
        running.no_tape()
        running.no_worker()
        for one in running.others:
            serve.stop(one)


@pytest.fixture(scope="session")
def server() -> Iterator[Server]:
    with demo_server() as running:
        yield running


@dataclass
class Stylist:
    """Somebody at the screen. Waits for what they look for, and no longer."""

    driver: webdriver.Chrome
    server: Any

    def go(self, path: str) -> None:
        self.driver.get(self.server.address + path)

    def wait(self, what: Callable[[], object], saying: str = "") -> object:
        until, pause = time.monotonic() + PATIENCE, SOONEST
        while time.monotonic() < until:
            with contextlib.suppress(Exception):
                if found := what():
                    return found
            time.sleep(pause)
            pause = min(1.5 * pause, LATEST)
        shown = self.driver.find_element(By.TAG_NAME, "body").text
        focus = self.focused.get_attribute("outerHTML")[:200]
        at = f"{self.driver.current_url}\nfocus: {focus}\n{shown[:1500]}"
        raise AssertionError(f"waited for {saying or 'what never came'} at {at}")

    def find(self, css: str) -> WebElement:
        return self.wait(lambda: self.driver.find_element(By.CSS_SELECTOR, css), css)  # type: ignore[return-value]

    def all(self, css: str) -> list[WebElement]:
        return self.driver.find_elements(By.CSS_SELECTOR, css)

    def click(self, text: str, css: str = "button", *, whole: bool = True) -> None:
        """Click the control that is called so, once it is there."""
        self.wait(lambda: self._named(text, css, whole).click() is None, f"“{text}” to click")

    def called(self, text: str, css: str = "button", *, whole: bool = True) -> WebElement:
        """The control that is called so (or, not `whole`, whose words hold this)."""
        return self.wait(lambda: self._named(text, css, whole), f"“{text}”")  # type: ignore[return-value]

    def _named(self, text: str, css: str, whole: bool) -> WebElement:
        found = self.driver.execute_script(NAMED, css, " ".join(text.split()), whole)
        assert found is not None
        return found  # type: ignore[no-any-return]

    def sees(self, text: str) -> None:
        self.wait(lambda: text in self.driver.find_element(By.TAG_NAME, "body").text, f"“{text}” on the screen")

    def press(self, *keys: str) -> None:
        ActionChains(self.driver).send_keys(*keys).perform()

    def chord(self, *keys: str) -> None:
        chain = ActionChains(self.driver)
        for key in keys[:-1]:
            chain.key_down(key)
        chain.send_keys(keys[-1])
        for key in keys[:-1]:
            chain.key_up(key)
        chain.perform()

    @property
    def focused(self) -> WebElement:
        return self.driver.switch_to.active_element

    def rest(self) -> None:
        """Take the hand off any field, so that single keys are heard."""
        self.driver.execute_script("document.activeElement.blur()")

    def tab_to(self, css: str, most: int = 90) -> WebElement:
        """Reach a control with the Tab key alone."""
        for _ in range(most):
            if self.driver.execute_script("return document.activeElement.matches(arguments[0])", css):
                return self.focused
            self.press(Keys.TAB)
        raise AssertionError(f"{css} cannot be reached with Tab")

    def sign_in(self, email: str = STYLISTS[0][0], password: str = PASSWORD) -> None:
        self.go("/sign-in")
        self.find("#email")
        self.tab_to("#email")
        self.press(email, Keys.TAB, password, Keys.ENTER)
        self.find("#search")

    def open(self, name: str) -> None:
        """Open a client by searching for them."""
        if not self.driver.current_url.endswith("/people"):
            self.go("/people")
        self.find("ul li a")
        self.press("/")
        self.wait(lambda: self.focused.get_attribute("id") == "search")
        self.press(name)
        self.wait(lambda: len(self.all("main ul li")) == 1)
        self.tab_to("main ul li a")
        self.press(Keys.ENTER)
        self.find("[data-panel]")

    def step(self, name: str) -> None:
        """Go to a step by its key, whatever has the focus."""
        steps = ("brief", "measure", "read", "shop", "rack", "try", "dress", "looks", "history", "records", "outfits",
                 "edit", "plan", "hand")  # fmt: skip
        self.chord(Keys.ALT, "1234567890oijq"[steps.index(name)])
        self.wait(lambda: self.driver.current_url.endswith(f"#{name}"), f"the step {name}")
        self.find("[data-panel]")

    def begin(self, protocol: str = "full", *, twice: bool = True) -> None:
        """Open a measuring session with consent, by keyboard."""
        self.step("measure")
        self.tab_to("input[name=protocol]:checked")
        for _ in range(8):
            if self.find("input[name=protocol]:checked").get_attribute("value") == protocol:
                break
            self.press(Keys.ARROW_DOWN)
        if not twice:
            self.tab_to("label > input[type=checkbox]:checked")
            self.press(Keys.SPACE)
        for key in ("measure", "record"):
            self.tab_to(f"input[value={key}]")
            self.press(Keys.SPACE)
        self.tab_to("button[data-main]")
        self.press(Keys.ENTER)
        self.at_measure()

    def at_measure(self, name: str = "") -> str:
        """Wait until the hand is at a measure (or at this one), its field focused; which."""
        wanted = f"m-{name}"
        self.wait(lambda: str(self.focused.get_attribute("id")).startswith(wanted), f"focus on {wanted}")
        return str(self.focused.get_attribute("data-measure"))

    def go_to(self, measure: str) -> None:
        """Go down the list to a measure with the arrow keys."""
        for _ in range(40):
            if self.at_measure() == measure:
                return
            here = self.at_measure()
            self.press(Keys.ARROW_DOWN)
            self.wait(lambda here=here: self.at_measure() != here)
        raise AssertionError(f"{measure} is not on the list")

    def figure(self, measure: str) -> WebElement:
        """The figure of a measure on the list."""
        return self.find(f"[data-figure={measure}]")

    def kept(self) -> None:
        self.wait(lambda: self.find("[data-testid=saving]").get_attribute("data-saving") == "kept", "kept")

    def verdict(self) -> str:
        """What is said of the look that is on; where the engine is still at it, when it has said so."""
        self.wait(lambda: not self.all("[aria-live][aria-busy=true]"), "the engine")
        return str(self.find("[data-testid=verdict]").get_attribute("data-verdict"))

    def edge(self, key: str) -> str:
        return str(self.find(f"[data-edge={key}]").text)

    def violations(self) -> list[str]:
        """What axe finds on the screen as it is now."""
        if not self.driver.execute_script("return 'axe' in window"):
            self.driver.execute_script(AXE.read_text())
        told = self.driver.execute_async_script(
            "const done = arguments[0]; axe.run(document, {runOnly: ['wcag2a','wcag2aa','wcag21a','wcag21aa','wcag22aa','best-practice']}).then(done)"
        )
        return [f"{found['id']}: {found['nodes'][0]['html'][:160]}" for found in told["violations"]]


def chrome(size: str, profile: str) -> webdriver.Chrome:
    options = webdriver.ChromeOptions()
    options.binary_location = "/usr/bin/chromium"
    quiet = ("background-networking", "component-update", "sync", "gpu", "quic", "dev-shm-usage")
    for word in ("headless", "no-sandbox", "no-first-run", *(f"disable-{name}" for name in quiet)):
        options.add_argument(f"--{word}")
    options.add_argument(f"--window-size={size}")
    options.add_argument(f"--user-data-dir={profile}")
    options.set_capability("goog:loggingPrefs", {"browser": "ALL"})
    return Chrome(options=options, service=Service("/usr/bin/chromedriver"))


@pytest.fixture(scope="session")
def screen(server: Server) -> Iterator[webdriver.Chrome]:
    """One browser for all tests: to start one takes longer than many a test."""
    with a_browser() as driver:
        yield driver


@pytest.fixture
def stylist(server: Server, screen: webdriver.Chrome) -> Iterator[Stylist]:
    """Somebody who sits down at the browser as if it were new: a tab of their own, and nothing kept of who sat there before."""
    first = screen.current_window_handle
    screen.switch_to.new_window("tab")
    try:
        with unbroken(screen):
            yield Stylist(screen, server)
    finally:
        for handle in screen.window_handles:
            if handle != first:
                screen.switch_to.window(handle)
                screen.close()
        screen.switch_to.window(first)
        for host in ("127.0.0.1", "localhost"):
            kept = {"origin": f"http://{host}:{server.port}", "storageTypes": "all"}
            screen.execute_cdp_cmd("Storage.clearDataForOrigin", kept)


@contextlib.contextmanager
def at_the_screen(server: Any) -> Iterator[Stylist]:
    """Somebody at another screen of this server."""
    with a_browser() as driver, unbroken(driver):
        yield Stylist(driver, server)


@contextlib.contextmanager
def a_browser() -> Iterator[webdriver.Chrome]:
    with tempfile.TemporaryDirectory(prefix="basilwood-chromium-") as profile:
        driver = chrome("1280,900", profile)
        driver.set_script_timeout(30)
        try:
            yield driver
        finally:
            driver.quit()


@contextlib.contextmanager
def unbroken(driver: webdriver.Chrome) -> Iterator[None]:
    """At the end of it no script broke."""
    driver.get_log("browser")
    yield
    log = [entry["message"] for entry in driver.get_log("browser")]
    assert [said for said in log if "Content Security Policy" in said or "Uncaught" in said] == []
