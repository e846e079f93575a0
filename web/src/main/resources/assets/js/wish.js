// @ts-check
// A wish round without leaving the page: lines are ranked by dragging their numbers, by the arrow keys on them, or by the buttons.
import { nextTask } from "./frame.js";
import { sendInTurn } from "./send.js";

/** @returns {HTMLFormElement | null} */
function form() {
  return document.querySelector(".wish form.wishes");
}

/** Makes the numbers what the keyboard and the pointer can take hold of. */
function prepare() {
  for (const rank of document.querySelectorAll(".ranked .rank")) {
    rank.setAttribute("tabindex", "0");
    rank.setAttribute("role", "button");
    rank.setAttribute("aria-describedby", "ranking");
    rank.setAttribute(
      "aria-label",
      `${rank.textContent}: ${rank.dataset.name}`,
    );
  }
}

/** How often something was handed over, and whether a line is being dragged: an answer that comes meanwhile would undo what was done since. */
let handed = 0;
let dragging = false;

/** @param {HTMLFormElement} wishes */
function handOver(wishes, button = null) {
  const mine = ++handed;
  void sendInTurn(wishes, new FormData(wishes, button), {
    remember: false,
    wanted: () => mine === handed && !dragging,
  });
}

/** What was moved on the page. */
function handOverMoved() {
  const wishes = form();
  if (wishes) {
    number();
    handOver(wishes);
  }
}

/** The numbers as they stand now, before the answer says so. */
function number() {
  document.querySelectorAll(".ranked > li").forEach((line, at) => {
    line.querySelector(".rank").textContent = String(at + 1);
  });
  prepare();
}

/** @param {KeyboardEvent} event */
function byKey(event) {
  const rank = /** @type {HTMLElement} */ (event.target);
  if (!rank.matches?.(".ranked .rank")) {
    return;
  }
  const line = rank.closest("li");
  const other =
    event.key === "ArrowUp"
      ? line.previousElementSibling
      : event.key === "ArrowDown"
        ? line.nextElementSibling
        : null;
  if (other) {
    event.preventDefault();
    // The other moves, so that the focus stays where it is.
    line[event.key === "ArrowUp" ? "after" : "before"](other);
    handOverMoved();
  }
}

/** @param {PointerEvent} down */
function byPointer(down) {
  const rank = /** @type {HTMLElement} */ (down.target);
  if (!rank.matches?.(".ranked .rank") || down.button !== 0) {
    return;
  }
  down.preventDefault();
  rank.focus();
  const line = rank.closest("li");
  dragging = true;
  line.classList.add("dragged");
  rank.setPointerCapture(down.pointerId);
  const drag = (/** @type {PointerEvent} */ move) => {
    for (const other of line.parentElement.children) {
      const box = other.getBoundingClientRect();
      const inside = move.clientY > box.top && move.clientY < box.bottom;
      if (other !== line && inside) {
        const above = move.clientY < box.top + box.height / 2;
        const isBefore =
          other.compareDocumentPosition(line) &
          Node.DOCUMENT_POSITION_FOLLOWING;
        // Past its middle only: or lines of different heights would change places again and again.
        if (above && isBefore) {
          other.before(line);
        } else if (!above && !isBefore) {
          other.after(line);
        }
        return;
      }
    }
  };
  const drop = () => {
    rank.removeEventListener("pointermove", drag);
    line.classList.remove("dragged");
    dragging = false;
    handOverMoved();
  };
  rank.addEventListener("pointermove", drag);
  rank.addEventListener("lostpointercapture", drop, { once: true });
}

export function followWishes() {
  document.addEventListener("keydown", byKey);
  document.addEventListener("pointerdown", byPointer);
  document.addEventListener("submit", (event) => {
    const sent = /** @type {HTMLFormElement} */ (
      /** @type {Element} */ (event.target)
    );
    if (sent === form()) {
      event.preventDefault();
      const button = /** @type {HTMLButtonElement | null} */ (event.submitter);
      handOver(sent, button);
    }
  });
  document.addEventListener("shown", () => void nextTask().then(prepare));
  prepare();
}
