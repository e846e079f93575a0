// @ts-check
// My week without leaving the page: links and forms change only what differs; woven weeks are drawn into the plan while they are pointed
// at; a busy time can be dragged.
import { filledIn, show } from "./page.js";
import { sendInTurn } from "./send.js";

const SVG = "http://www.w3.org/2000/svg";
const QUARTER = 15;

function part() {
  return document.querySelector("[data-part=week]");
}

/** Draws the woven week of this number into the plan; 0 draws the one that the address says, or none. */
function preview(number) {
  for (const group of part().querySelectorAll(".preview-of")) {
    const settled = part().querySelector(
      `.woven > [data-weave="${group.dataset.weave}"].shown`,
    );
    group.classList.toggle(
      "shown",
      number ? group.dataset.weave === number : settled !== null,
    );
  }
}

function followLinks() {
  document.addEventListener("click", (event) => {
    const link = event.target.closest("a");
    const address = link?.getAttribute("href");
    if (
      !part() ||
      !address ||
      event.metaKey ||
      event.ctrlKey ||
      event.shiftKey ||
      link.closest("header.top")
    ) {
      return;
    }
    if (address.startsWith("#swap-")) {
      event.preventDefault();
      document
        .getElementById(address.slice(1))
        ?.querySelector("button")
        ?.click();
    } else if (
      new URL(address, location.href).pathname === location.pathname &&
      !address.startsWith("#")
    ) {
      event.preventDefault();
      show(address.replace(/#.*/, ""));
    }
  });
}

function followForms() {
  document.addEventListener("submit", (event) => {
    if (!part()?.contains(event.target)) {
      return;
    }
    event.preventDefault();
    const form = /** @type {HTMLFormElement} */ (
      /** @type {Element} */ (event.target)
    );
    if (form.method === "post") {
      const taken = form.closest(".woven");
      void sendInTurn(form, new FormData(form, event.submitter)).then(() => {
        if (taken) {
          window.scrollTo(0, 0);
        }
      });
    } else {
      show(
        `${form.getAttribute("action").replace(/#.*/, "")}?${filledIn(form)}`,
      );
    }
  });
}

function followPreviews() {
  for (const [starts, ends] of [
    ["mouseover", "mouseout"],
    ["focusin", "focusout"],
  ]) {
    document.addEventListener(starts, (event) => {
      const week = event.target.closest?.(".woven > [data-weave]");
      if (week) {
        preview(week.dataset.weave);
      }
    });
    document.addEventListener(ends, (event) => {
      if (event.target.closest?.(".woven > [data-weave]")) {
        preview(0);
      }
    });
  }
}

/** The hours of the bands from left to right, in minutes of the day. */
function span() {
  const { from, to } = part().querySelector("[data-paints]").dataset;
  return { from: Number(from), to: Number(to) };
}

function minuteAt(band, event) {
  const box = band.getBoundingClientRect();
  const { from, to } = span();
  const share = Math.max(
    0,
    Math.min(1, (event.clientX - box.left) / box.width),
  );
  return from + Math.round((share * (to - from)) / QUARTER) * QUARTER;
}

function clock(minute) {
  return `${String(Math.floor(minute / 60)).padStart(2, "0")}:${String(minute % 60).padStart(2, "0")}`;
}

/** Opens the form of a busy time with a day and hours in it. */
function begin(day, starts, ends) {
  /** @type {HTMLDetailsElement} */
  const details = document.querySelector("#add-busy");
  details.open = true;
  /** @type {NodeListOf<HTMLInputElement>} */
  const boxes = details.querySelectorAll("[name=day]");
  for (const box of boxes) {
    box.checked = box.value === day;
  }
  /** @param {string} name @returns {HTMLInputElement} */
  const field = (name) => details.querySelector(`[name=${name}]`);
  field("starts").value = clock(starts);
  field("ends").value = clock(ends);
  field("label").focus();
}

/** Dragging over free time of a band makes a busy time of it. */
function followDrags() {
  let drag;
  document.addEventListener("pointerdown", (event) => {
    const band = event.target.closest?.(".bands .band");
    const onBlock = event.target.closest?.(".block, .hatch");
    if (
      band &&
      !onBlock &&
      event.button === 0 &&
      event.pointerType !== "touch"
    ) {
      drag = { band, at: minuteAt(band, event) };
    }
  });
  document.addEventListener("pointermove", (event) => {
    if (!drag) {
      return;
    }
    drag.to = minuteAt(drag.band, event);
    drag.mark ??= drag.band
      .querySelector("svg")
      .appendChild(document.createElementNS(SVG, "rect"));
    const { from, to } = span();
    const [first, last] = [drag.at, drag.to].sort((one, other) => one - other);
    drag.mark.setAttribute("class", "drag");
    drag.mark.setAttribute("x", `${((first - from) * 100) / (to - from)}%`);
    drag.mark.setAttribute("width", `${((last - first) * 100) / (to - from)}%`);
    drag.mark.setAttribute("y", "2");
    drag.mark.setAttribute("height", `${drag.band.clientHeight - 4}`);
  });
  document.addEventListener("pointerup", () => {
    const done = drag;
    drag = undefined;
    done?.mark?.remove();
    if (done?.to !== undefined && Math.abs(done.to - done.at) >= QUARTER) {
      const [first, last] = [done.at, done.to].sort(
        (one, other) => one - other,
      );
      begin(done.band.dataset.day, first, last);
      // The click that ends the drag opens nothing.
      document.addEventListener("click", (event) => event.preventDefault(), {
        capture: true,
        once: true,
      });
      setTimeout(() => document.dispatchEvent(new Event("dragged")));
    }
  });
  document.addEventListener("dragstart", (event) => {
    if (event.target.closest?.(".bands")) {
      event.preventDefault();
    }
  });
}

/** Asks again how far a long weaving is. */
function followProgress() {
  const look = () => {
    const again = part()?.querySelector("[data-again]")?.dataset.again;
    if (again) {
      setTimeout(() => show(again, { remember: false }), 700);
    }
  };
  document.addEventListener("shown", look);
  look();
}

function offerPrint() {
  const print = part()?.querySelector("[data-print]");
  if (print) {
    print.hidden = false;
    print.onclick = () => window.print();
  }
}

export function followPlan() {
  followLinks();
  followForms();
  followPreviews();
  followDrags();
  followProgress();
  document.addEventListener("shown", offerPrint);
  offerPrint();
}
