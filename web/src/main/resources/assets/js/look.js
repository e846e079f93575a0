// @ts-check
// A line opens in place to the essentials of its sheet, and closes again.

/** The rows of a page that was fetched to show one line open. */
async function essentials(link) {
  const response = await fetch(link.href, { headers: { Accept: "text/html" } });
  const fresh = new DOMParser().parseFromString(
    await response.text(),
    "text/html",
  );
  const entry = link.closest(".line").querySelector(".c-entry").textContent;
  return fresh.getElementById(`look-${entry}`);
}

export async function look(link) {
  const line = link.closest(".line");
  const open = line.nextElementSibling;
  if (open?.matches(".essentials")) {
    open.remove();
    link.setAttribute("aria-expanded", "false");
    return;
  }
  const rows = await essentials(link);
  if (rows && !line.nextElementSibling?.matches(".essentials")) {
    line.after(rows);
    link.setAttribute("aria-expanded", "true");
  }
}

export function followLooks() {
  document.addEventListener("click", (event) => {
    const link = event.target.closest("a.look");
    if (link && !event.metaKey && !event.ctrlKey && !event.shiftKey) {
      event.preventDefault();
      look(link);
    }
  });
}
