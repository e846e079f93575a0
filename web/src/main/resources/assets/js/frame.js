// What can wait until the reader sees the page: it would only make the first frame later.

/** Does it once the next frame has been shown. */
export function afterTheFrame(act) {
  requestAnimationFrame(() => setTimeout(act));
}
