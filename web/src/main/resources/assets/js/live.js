// @ts-check
// Seats follow the registrar: the server tells which have changed since the page was made, and the cells on the page are
// fetched anew. When the connection is lost the page says so, and tries again after a while that grows.
import { afterTheFrame } from "./frame.js";

/** Without a word for so long, in milliseconds, something is lost; the server says one every 15 seconds. */
const SILENCE = 40_000;
const FIRST_PAUSE = 1_000;
const LONGEST_PAUSE = 60_000;
const MOST_CELLS = 200;

let source;
let since = 0;
let pause = FIRST_PAUSE;
let silence;

function live() {
  return document.querySelector("#live");
}

function lost(is) {
  const mark = document.querySelector("#live-lost");
  if (mark) {
    mark.hidden = !is;
    live().classList.toggle("stale", is);
  }
}

function heard(time) {
  const shown = document.querySelector("#live-time");
  if (shown) {
    shown.textContent = time;
  }
  pause = FIRST_PAUSE;
  lost(false);
  clearTimeout(silence);
  silence = setTimeout(tryAgain, SILENCE);
}

function tryAgain() {
  source?.close();
  clearTimeout(silence);
  lost(true);
  setTimeout(listen, pause);
  pause = Math.min(LONGEST_PAUSE, pause * 2);
}

/** Puts the seats of those of `entries` that are on the page in their place. */
async function refresh(entries) {
  const here = entries
    .filter((entry) =>
      document.querySelector(`.c-seats[data-seats="${entry}"]`),
    )
    .slice(0, MOST_CELLS);
  if (!here.length) {
    return;
  }
  const response = await fetch(
    `${live().dataset.stream}/cells?entries=${here.join(",")}`,
    { headers: { Accept: "text/html" } },
  );
  if (!response.ok) {
    return;
  }
  const fresh = new DOMParser().parseFromString(
    await response.text(),
    "text/html",
  );
  fresh.querySelectorAll("[data-seats]").forEach((cell) => {
    document
      .querySelectorAll(`.c-seats[data-seats="${cell.dataset.seats}"]`)
      .forEach((old) => {
        old.replaceChildren(...cell.cloneNode(true).childNodes);
        old.classList.add("fresh");
      });
  });
}

/** Says in the head how many notices there are that the student has not seen. */
function noticed(count) {
  const mark = document.querySelector("#to-notices sup");
  if (mark) {
    mark.textContent = count;
    mark.hidden = count === "0";
  }
}

function listen() {
  if (!live()) {
    return;
  }
  since = Math.max(since, Number(live().dataset.since));
  source = new EventSource(`${live().dataset.stream}?since=${since}`);
  source.addEventListener("word", (event) => heard(event.data.split(" ")[0]));
  source.addEventListener("seats", async (event) => {
    const [time, entries] = event.data.split(" ");
    await refresh(entries.split(","));
    since = Math.max(since, Number(event.lastEventId));
    // What fits may be otherwise now; the reader says when the lines may move.
    document.querySelector("#live-anew").hidden =
      !/[?&](seats|waiting|status)=|order=(open-seats|share-taken)/.test(
        window.location.search,
      );
    heard(time);
  });
  source.addEventListener("notices", (event) => noticed(event.data));
  source.addEventListener("error", tryAgain);
}

export function followSeats() {
  afterTheFrame(listen);
  window.addEventListener("pagehide", () => source?.close());
  window.addEventListener("pageshow", (event) => event.persisted && listen());
}
