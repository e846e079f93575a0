// @ts-check
// Work in pieces, so that none keeps a key, a click or a frame waiting for long.

/** Does it once the next frame has been shown: what can wait until the reader sees the page, and what measures it. */
export function afterTheFrame(act) {
  requestAnimationFrame(() => setTimeout(act));
}

/** Until the next frame has been shown: what is measured then has been laid out already. */
export function frameShown() {
  return new Promise(afterTheFrame);
}

/**
 * What a reader waits for.
 * @type {Promise<unknown>}
 */
let awaited = Promise.resolve();

/** Does what a reader waits for; what is done at leisure rests meanwhile. */
export function first(work) {
  awaited = Promise.allSettled([awaited, work]);
  return work;
}

/** How long the browser has for drawing what was changed, in milliseconds, before more of what nobody sees is added. */
const LEISURE = 40;

/** Until no reader waits for anything and what has been drawn is shown; a reader who scrolls ends it. */
export async function leisure() {
  await new Promise((resume) => {
    const over = new AbortController();
    const end = () => {
      over.abort();
      resume();
    };
    setTimeout(end, LEISURE);
    document.addEventListener("scroll", end, {
      passive: true,
      signal: over.signal,
    });
  });
  await awaited;
}

/** Lets the browser see to what is waiting. */
export function nextTask() {
  return new Promise((resume) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = resume;
    port2.postMessage(null);
  });
}
