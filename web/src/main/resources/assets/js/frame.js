// Work in pieces, so that none keeps a key, a click or a frame waiting for long.

/** Does it once the next frame has been shown: what can wait until the reader sees the page, and what measures it. */
export function afterTheFrame(act) {
  requestAnimationFrame(() => setTimeout(act));
}

/** Until the next frame has been shown: what is measured then has been laid out already. */
export function frameShown() {
  return new Promise(afterTheFrame);
}

/** Lets the browser see to what is waiting. */
export function nextTask() {
  return new Promise((resume) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = resume;
    port2.postMessage(null);
  });
}
