// @ts-check
// Returns the reader to the same place of a long list. When the reader leaves, the address in the browser's history gets the
// entry number of the top line and of the lines that were open. The server then shows this part of the list again.

function isPlain(event) {
  return (
    event.button === 0 &&
    !(event.metaKey || event.ctrlKey || event.shiftKey || event.altKey)
  );
}

/** The first line whose upper edge is inside the window. */
function firstInSight() {
  return [...document.querySelectorAll("#lines .line")].find(
    (line) => line.getBoundingClientRect().top >= 0,
  );
}

/** Writes into the entry of this page in the browser's history where the reader is. */
function remember() {
  const line = firstInSight();
  const looks = [...document.querySelectorAll("#lines .essentials")].map(
    (open) => open.id.replace("look-", ""),
  );
  if (!line || (window.scrollY < line.offsetHeight && !looks.length)) {
    return;
  }
  const url = new URL(window.location.href);
  url.hash = "";
  for (const name of ["page", "line", "look"]) {
    url.searchParams.delete(name);
  }
  url.searchParams.set("line", line.id.slice(1));
  if (looks.length) {
    url.searchParams.set("look", looks.join(","));
  }
  history.scrollRestoration = "manual";
  history.replaceState(
    {
      ...history.state,
      place: { line: line.id, top: line.getBoundingClientRect().top },
    },
    "",
    url,
  );
}

/** Back at a list that was left: its line where it was. */
function restore() {
  const place = history.state?.place;
  const line = place && document.getElementById(place.line);
  const off = line ? line.getBoundingClientRect().top - place.top : 0;
  if (Math.abs(off) >= 1) {
    window.scrollTo(0, window.scrollY + off);
  }
}

/** Whatever comes into the list, or changes its height, moves what is below: the line is held until the reader does something. */
function hold() {
  const observers = [
    new MutationObserver(restore),
    new ResizeObserver(restore),
  ];
  const letGo = () => observers.forEach((observer) => observer.disconnect());
  for (const doing of ["wheel", "touchstart", "keydown", "pointerdown"]) {
    window.addEventListener(doing, letGo, { once: true, passive: true });
  }
  observers[0].observe(document.querySelector("#lines"), {
    childList: true,
    subtree: true,
  });
  observers[1].observe(document.body);
  restore();
}

/** To be called after all else that listens for clicks: what opens in place does not leave the list. */
export function keepPlace() {
  if (!document.querySelector("[data-part=browse]")) {
    return;
  }
  hold();
  document.addEventListener("click", (event) => {
    const link = event.target.closest("a[href]");
    const leaves =
      link &&
      isPlain(event) &&
      !event.defaultPrevented &&
      !link.getAttribute("href").startsWith("#");
    if (leaves) {
      remember();
    }
  });
  document.addEventListener("submit", (event) => {
    if (!event.defaultPrevented) {
      remember();
    }
  });
}
