// @ts-check
// Painting the week: dragging, touching or arrow keys close and open hours. The server says the brief that comes of it.
import { show, withParameter } from "./page.js";

const SVG = "http://www.w3.org/2000/svg";
const QUARTERS = 4;

let from;
let to;
let cursor;
let painting = false;

function paint() {
  return document.querySelector("#paint");
}

function measures() {
  const data = paint().dataset;
  return {
    left: Number(data.left),
    top: Number(data.top),
    day: Number(data.day),
    quarter: Number(data.hour) / QUARTERS,
    first: Number(data.first) * QUARTERS,
    last: Number(data.last) * QUARTERS,
    codes: [...paint().querySelectorAll(".head[data-code]")].map(
      (head) => head.dataset.code,
    ),
  };
}

function clock(quarter) {
  const minutes = String((quarter % QUARTERS) * 15).padStart(2, "0");
  return `${String(Math.floor(quarter / QUARTERS)).padStart(2, "0")}:${minutes}`;
}

/** The day and the quarter hour under a pointer. */
function cellAt(event) {
  const { left, top, day, quarter, first, last } = measures();
  /** @type {SVGSVGElement} */
  const svg = paint().querySelector("svg");
  const box = svg.getBoundingClientRect();
  const scale = svg.viewBox.baseVal.width / box.width;
  const x = (event.clientX - box.left) * scale;
  const y = (event.clientY - box.top) * scale;
  return {
    day: Math.max(0, Math.min(6, Math.floor((x - left) / day))),
    quarter: Math.max(
      first,
      Math.min(last - 1, first + Math.floor((y - top) / quarter)),
    ),
    outside: x < left || y < top,
  };
}

function isClosed({ day, quarter }) {
  const code = measures().codes[day];
  return (paint().dataset.closed ?? "")
    .split(",")
    .filter((stretch) => stretch.startsWith(code))
    .map((stretch) => stretch.slice(code.length + 1).split("-"))
    .some(([start, end]) => start <= clock(quarter) && clock(quarter) < end);
}

function rectangle() {
  return {
    days: [from.day, to.day].sort((one, other) => one - other),
    quarters: [from.quarter, to.quarter].sort((one, other) => one - other),
  };
}

/** Draws the stretch that is being painted, or the place of the keyboard. */
function draw(kind) {
  const svg = paint().querySelector("svg");
  svg.querySelectorAll(".brush").forEach((brush) => brush.remove());
  if (!kind) {
    return;
  }
  const { left, top, day, quarter, first } = measures();
  const { days, quarters } = rectangle();
  const brush = document.createElementNS(SVG, "rect");
  brush.setAttribute("class", `brush ${kind}`);
  const place = {
    x: left + days[0] * day,
    y: top + (quarters[0] - first) * quarter,
    width: (days[1] - days[0] + 1) * day - 1,
    height: (quarters[1] - quarters[0] + 1) * quarter,
  };
  for (const [name, number] of Object.entries(place)) {
    brush.setAttribute(name, String(number));
  }
  svg.append(brush);
}

/** Says where the keyboard is and what is there. */
function say() {
  const { codes, first } = measures();
  const { day, quarter } = cursor;
  const half = Math.floor((quarter - first) / 2);
  const count = (list) => list.split(";")[day].split(",")[half];
  const name = codes[day][0].toUpperCase() + codes[day].slice(1);
  document.querySelector("#week-says").textContent =
    `${name} ${clock(quarter)}: ` +
    (isClosed(cursor)
      ? `closed, ${count(paint().dataset.opened)} more if open`
      : `open, ${count(paint().dataset.counts)} sections`);
}

/** Closes what was painted where it began open, and the other way round. */
function done() {
  const { codes } = measures();
  const { days, quarters } = rectangle();
  const stretches = codes
    .slice(days[0], days[1] + 1)
    .map((code) => `${code}:${clock(quarters[0])}-${clock(quarters[1] + 1)}`);
  const act = isClosed(from) ? "reopen" : "close";
  show(withParameter(window.location.href, act, stretches.join(",")));
}

function move(event) {
  const { first, last } = measures();
  const steps = {
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    PageUp: [0, -QUARTERS],
    PageDown: [0, QUARTERS],
    Home: [0, -last],
    End: [0, last],
  };
  const step = steps[event.key];
  if (!step) {
    return false;
  }
  cursor = {
    day: Math.max(0, Math.min(6, cursor.day + step[0])),
    quarter: Math.max(first, Math.min(last - 1, cursor.quarter + step[1])),
  };
  from = event.shiftKey ? from : cursor;
  to = cursor;
  draw("cursor");
  say();
  return true;
}

/** Makes the picture something that can be painted; heads stay links. */
function makeReady() {
  const area = paint();
  if (!area || area.getAttribute("role")) {
    return;
  }
  area.setAttribute("role", "application");
  area.setAttribute("tabindex", "0");
  area.setAttribute("aria-roledescription", "week to paint");
  area.setAttribute(
    "aria-label",
    "The week. Arrow keys move by a quarter hour or a day, Shift stretches, Space closes or opens.",
  );
  document.querySelector("#week-says").setAttribute("aria-live", "polite");
}

export function followWeek() {
  if (!paint()) {
    return;
  }
  makeReady();
  document.addEventListener("shown", () => {
    makeReady();
    if (cursor && document.activeElement === paint()) {
      from = to = cursor;
      draw("cursor");
      say();
    }
  });
  document.addEventListener("pointerdown", (event) => {
    if (!event.target.closest("#paint") || event.target.closest(".head")) {
      return;
    }
    const cell = cellAt(event);
    if (cell.outside || event.button !== 0) {
      return;
    }
    event.preventDefault();
    painting = true;
    from = to = cell;
    draw("drag");
    paint().setPointerCapture(event.pointerId);
  });
  document.addEventListener("pointermove", (event) => {
    if (painting) {
      to = cellAt(event);
      draw("drag");
    }
  });
  document.addEventListener("pointerup", () => {
    if (painting) {
      painting = false;
      draw();
      done();
    }
  });
  document.addEventListener("pointercancel", () => {
    painting = false;
    draw();
  });
  document.addEventListener("focusin", (event) => {
    if (event.target.id === "paint" && !painting) {
      const { first } = measures();
      cursor ??= { day: 0, quarter: first + 2 * QUARTERS };
      from = to = cursor;
      draw("cursor");
      say();
    }
  });
  document.addEventListener("focusout", (event) => {
    if (event.target.id === "paint") {
      draw();
    }
  });
  document.addEventListener("keydown", (event) => {
    if (document.activeElement?.id !== "paint") {
      return;
    }
    if (event.key === " " || event.key === "Enter") {
      event.preventDefault();
      done();
    } else if (move(event)) {
      event.preventDefault();
    }
  });
}
