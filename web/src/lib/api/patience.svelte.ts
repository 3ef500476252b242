/**
 * A studio that is being brought back is waited for. The server answers 503 and when to ask again; nothing of what was
 * asked has been done then, so it is asked again as it was, and the screen says so meanwhile.
 */

/** How long to ask again before the answer is told as it is, s. */
const LONGEST = 30;

class Waiting {
  /** How many questions wait now. */
  count = $state(0);
}
export const waiting = new Waiting();

function pause(seconds: number, signal?: AbortSignal): Promise<void> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, seconds * 1000);
    signal?.addEventListener("abort", () => {
      clearTimeout(timer);
      reject(new DOMException("No longer asked.", "AbortError"));
    });
  });
}

/** Ask, and ask again while the answer is to come back later. */
export async function waitedFor(ask: () => Promise<Response>, signal?: AbortSignal): Promise<Response> {
  let answer = await ask();
  if (!later(answer)) return answer;
  waiting.count += 1;
  try {
    for (let waited = 0; later(answer) && waited < LONGEST; waited += later(answer)) {
      await pause(later(answer), signal);
      answer = await ask();
    }
    return answer;
  } finally {
    waiting.count -= 1;
  }
}

/** The way every question of the interface goes. */
export const patient = (request: Request): Promise<Response> =>
  waitedFor(() => fetch(request.clone()), request.signal);

/** After how many seconds an answer asks to be asked again; 0 where it does not. */
function later(answer: Response): number {
  return answer.status === 503 ? Number(answer.headers.get("Retry-After")) || 0 : 0;
}
