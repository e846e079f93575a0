// @ts-check
// One long list: leaves that are not near the window are gaps of about their height. A leaf that comes near is fetched and put
// into its gap; one that is far away becomes part of a gap again, so that a list of any length stays light.
import { afterTheFrame, frameShown, leisure, nextTask } from "./frame.js";
import {
  ROWS_A_FRAME,
  holeOf,
  isInSight,
  keepingStill,
  putInByFrames,
  putInNext,
  room,
  takenOut,
} from "./rows.js";

/**
 * How far from the window leaves are fetched, in pixels, and how far they are let go again: all that is in the page is painted
 * anew whenever a leaf arrives.
 */
const NEAR = 600;
const FAR = 1200;

/** With more courses than this in the page, leaves far away are let go while others still arrive. */
const CROWD = 48;

/** What is known of the list that is shown: how many lines each leaf has, and how high a line is. */
let sizes = [];
let lineHeight = 0;

/** What of the list that is shown is not in it yet: rows, and the room that is kept for them, so high for each. */
let held = { rows: [] };

/** Counts the lists that were shown, so that a leaf of an earlier one is not put into a later one. */
let shown = 0;
let fetching = false;
let asked = false;

/** @returns {HTMLTableElement} */
function table() {
  return document.querySelector("#lines");
}

function heightOf(from, to) {
  let lines = 0;
  for (let leaf = from; leaf <= to; leaf++) {
    lines += sizes[leaf - 1];
  }
  return lines * lineHeight;
}

/** Room for the leaves from one to another, which are not here. */
function gap(from, to, height = heightOf(from, to)) {
  const body = room(height);
  body.className = "gap";
  body.dataset.from = from;
  body.dataset.to = to;
  return body;
}

function bodiesOf(leaf) {
  return [...table().querySelectorAll(`tbody[data-leaf="${leaf}"]`)];
}

/** The leaf of a gap that is nearest to the window; none where the gap is far away. */
function nearest(body) {
  const { top, bottom } = body.getBoundingClientRect();
  if (bottom < -NEAR || top > window.innerHeight + NEAR) {
    return undefined;
  }
  const [from, to] = [Number(body.dataset.from), Number(body.dataset.to)];
  let leaf = from;
  let end = top + heightOf(leaf, leaf);
  while (leaf < to && end <= 0) {
    leaf++;
    end += heightOf(leaf, leaf);
  }
  return leaf;
}

/** Puts a leaf into its gap. */
async function fill(body, leaf, bodies) {
  const [from, to] = [Number(body.dataset.from), Number(body.dataset.to)];
  // What lies below a leaf that ends in the upper half of the window is what is read.
  const end = body.getBoundingClientRect().top + heightOf(from, leaf);
  const above = end <= window.innerHeight / 2;
  const rows = takenOut(bodies);
  const rowHeight = heightOf(leaf, leaf) / rows.length;
  const hole = holeOf(leaf, heightOf(leaf, leaf));
  body.replaceWith(
    ...(leaf > from ? [gap(from, leaf - 1)] : []),
    hole,
    ...(leaf < to ? [gap(leaf + 1, to)] : []),
  );
  await putInByFrames(rows, hole, { rowHeight, above });
}

/** Takes out of a list that is about to be shown anew all that does not come with its first frame. */
export function holdBack(part, anew) {
  held = { rows: [] };
  const lines = part.querySelector("#lines");
  if (!anew || !lines?.dataset.leaves || !lineHeight) {
    return;
  }
  const rows = takenOut([...lines.tBodies]);
  const hole = holeOf(lines.dataset.leaf, 0);
  lines.append(hole);
  // Not so low that a reader who has scrolled is moved before the rest comes.
  const rowHeight = Math.max(
    lineHeight,
    window.innerHeight / Math.max(1, rows.length - ROWS_A_FRAME),
  );
  putInNext(rows, hole, rowHeight);
  held = { rows, hole, rowHeight };
}

/** Brings, frame by frame, what was held back and is in sight; the others follow by themselves. */
export async function showSight() {
  const mine = held;
  await frameShown();
  while (mine.rows.length && isInSight(mine.hole)) {
    putInNext(mine.rows, mine.hole, mine.rowHeight);
    await frameShown();
  }
  showRest(mine);
}

/** Brings what is not in sight, and then makes room for all other leaves, unless another list has come meanwhile. */
async function showRest(mine) {
  if (mine.rows.length) {
    await leisure();
  }
  await putInByFrames(mine.rows, mine.hole, {
    rowHeight: mine.rowHeight,
    above: false,
  });
  if (mine === held) {
    document.dispatchEvent(new Event("lines"));
    unroll();
  }
}

function addressOf(leaf) {
  const url = new URL(table().dataset.address, window.location.href);
  url.pathname += "/leaf";
  url.searchParams.delete("line");
  // What the address of the page has open is open in every leaf.
  const looks = new URL(window.location.href).searchParams.get("look");
  if (looks) {
    url.searchParams.set("look", looks);
  }
  url.searchParams.set("page", leaf);
  return url.href;
}

async function fetchLeaf(body, leaf) {
  const mine = shown;
  const response = await fetch(addressOf(leaf), {
    headers: { Accept: "text/html" },
  });
  if (!response.ok) {
    throw new Error(response.statusText);
  }
  const html = await response.text();
  await nextTask();
  const fresh = new DOMParser().parseFromString(html, "text/html");
  await nextTask();
  if (mine === shown && body.isConnected) {
    await fill(body, leaf, [...fresh.querySelectorAll("tbody")]);
    document.dispatchEvent(new Event("lines"));
  }
}

/** What the table is made of, in order: leaves, which may be let go of where they are far away, and gaps. */
function stretches() {
  const found = [];
  for (const body of table().tBodies) {
    const { top, bottom } = body.getBoundingClientRect();
    const { leaf, from = leaf, to = leaf } = body.dataset;
    const last = found.at(-1);
    if (leaf !== undefined && last?.leaf === leaf) {
      last.bodies.push(body);
      last.bottom = bottom;
    } else {
      found.push({ leaf, from, to, top, bottom, bodies: [body] });
    }
  }
  return found;
}

function isFar({ top, bottom, bodies }) {
  return (
    (bottom < -FAR || top > window.innerHeight + FAR) &&
    !bodies.some((body) => body.contains(document.activeElement))
  );
}

/** Makes one gap of a leaf, or several beside each other, and the gaps beside them. */
function close(run) {
  const [first, last] = [run[0], run.at(-1)];
  const bodies = run.flatMap((stretch) => stretch.bodies);
  keepingStill(last.bottom < 0, () => {
    bodies[0].before(gap(first.from, last.to, last.bottom - first.top));
    bodies.forEach((body) => body.remove());
  });
}

/** Lets go of leaves that the reader has left far behind. All is measured before anything is changed. */
function letGo() {
  const runs = [[]];
  for (const stretch of stretches()) {
    if (stretch.leaf === undefined || isFar(stretch)) {
      runs.at(-1).push(stretch);
    } else {
      runs.push([]);
    }
  }
  runs
    .filter((run) => run.some((stretch) => stretch.leaf !== undefined))
    .forEach(close);
}

/** Fetches, one after the other, what is near the window. */
async function fetchWhatIsNear() {
  asked = true;
  if (fetching) {
    return;
  }
  fetching = true;
  try {
    while (asked) {
      asked = false;
      for (const body of table()?.querySelectorAll(".gap") ?? []) {
        const leaf = nearest(body);
        if (leaf !== undefined) {
          await fetchLeaf(body, leaf);
          await frameShown();
          asked = true;
          if (table()?.tBodies.length > CROWD) {
            letGo();
          }
          break;
        }
      }
    }
    await frameShown();
    if (table()) {
      letGo();
    }
  } catch {
    // Scrolling on asks once more.
    asked = false;
  } finally {
    fetching = false;
  }
  // Scrolled while leaves were let go.
  if (asked) {
    fetchWhatIsNear();
  }
}

/** Makes room for every leaf before and after the one that is here. */
function unroll() {
  shown++;
  const lines = table();
  if (!lines?.dataset.leaves?.includes(",") || !lines.offsetHeight) {
    return;
  }
  sizes = lines.dataset.leaves.split(",").map(Number);
  const here = Number(lines.dataset.leaf);
  const bodies = bodiesOf(here);
  const { top } = bodies[0].getBoundingClientRect();
  lineHeight =
    (bodies.at(-1).getBoundingClientRect().bottom - top) / sizes[here - 1];
  lines.classList.add("unrolled");
  if (here < sizes.length) {
    bodies.at(-1).after(gap(here + 1, sizes.length));
  }
  if (here > 1) {
    keepingStill(true, () => bodies[0].before(gap(1, here - 1)));
  }
  leisure().then(fetchWhatIsNear);
}

function gapOf(leaf) {
  return [...table().querySelectorAll(".gap")].find(
    (body) =>
      Number(body.dataset.from) <= leaf && leaf <= Number(body.dataset.to),
  );
}

/** Goes to the page that a link names, without leaving this one. */
async function goTo(link) {
  const leaf = Number(new URL(link.href).searchParams.get("page") ?? "1");
  const mine = shown;
  // Another leaf may be put into the same gap in the meantime; then what is left of the gap is asked for.
  for (let body = gapOf(leaf); body && mine === shown; body = gapOf(leaf)) {
    await fetchLeaf(body, leaf);
  }
  document.querySelector(link.hash)?.scrollIntoView();
}

export function followList() {
  if (!document.querySelector("[data-part=browse]")) {
    return;
  }
  // First the lines that are in sight, then the room for all others.
  afterTheFrame(unroll);
  let waiting = false;
  document.addEventListener(
    "scroll",
    () => {
      if (!waiting) {
        waiting = true;
        requestAnimationFrame(() => {
          waiting = false;
          fetchWhatIsNear();
        });
      }
    },
    { passive: true },
  );
  document.addEventListener("click", (event) => {
    const link = event.target.closest(".subjects a");
    if (link && table()?.dataset.leaves?.includes(",")) {
      event.preventDefault();
      goTo(link);
    }
  });
}
