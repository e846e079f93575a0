// @ts-check
// Long lists arrive faster than a page can show them. So the page keeps empty room of the right height, and the rows
// go into it a few at a time. What is being read does not move meanwhile.
import { frameShown, leisure } from "./frame.js";

/** How many rows go into the page before the next frame: more would make the frame late. */
export const ROWS_A_FRAME = 7;

export function room(height) {
  const body = document.createElement("tbody");
  body.insertRow().insertCell().colSpan = 9;
  setHeight(body, height);
  return body;
}

/** Room for rows of a leaf that are here, but not in the page yet. */
export function holeOf(leaf, height) {
  const body = room(height);
  body.className = "hole";
  body.dataset.leaf = leaf;
  return body;
}

function setHeight(body, height) {
  body.rows[0].cells[0].style.height = `${Math.round(height)}px`;
}

/** Whether the reader has come to the end of the page. */
function atEnd() {
  const { scrollHeight, clientHeight } = document.documentElement;
  return window.scrollY > 0 && window.scrollY + clientHeight > scrollHeight - 2;
}

/**
 * Makes a change without moving what is read: what lies above the window grows upward, and so does all that a reader at the end
 * of the page has waited for. Browsers do so by themselves, but not inside tables.
 */
export function keepingStill(above, change) {
  if (!above && !atEnd()) {
    change();
    return;
  }
  // From where the reader was: a page that grows shorter has already moved a reader at its end.
  const { scrollY } = window;
  const { scrollHeight } = document.documentElement;
  change();
  window.scrollTo(
    0,
    scrollY + document.documentElement.scrollHeight - scrollHeight,
  );
}

/** Takes rows out of their bodies, and these out of the page; each with the one that it belongs to. */
export function takenOut(bodies) {
  return bodies.flatMap((body) => {
    const rows = [...body.rows];
    body.replaceChildren();
    body.remove();
    return rows.map((row) => ({ body, row }));
  });
}

/** Puts rows back, their bodies before another. */
function putIn(rows, before) {
  for (const { body, row } of rows) {
    if (!body.isConnected) {
      before.before(body);
    }
    body.append(row);
  }
}

/** Puts the next of `rows` before what is left of their hole; the last of them fill it. */
export function putInNext(rows, hole, rowHeight) {
  putIn(rows.splice(0, ROWS_A_FRAME), hole);
  setHeight(hole, rows.length * rowHeight);
  if (!rows.length) {
    hole.remove();
  }
}

export function isInSight(body) {
  const { top, bottom } = body.getBoundingClientRect();
  return bottom > 0 && top < window.innerHeight;
}

/** Puts the rows into the room kept for them, a few before each frame. Stops if that room has left the page. */
export async function putInByFrames(rows, hole, { rowHeight, above }) {
  while (rows.length && hole.isConnected) {
    keepingStill(above, () => putInNext(rows, hole, rowHeight));
    await frameShown();
    if (!isInSight(hole)) {
      await leisure();
    }
  }
}
