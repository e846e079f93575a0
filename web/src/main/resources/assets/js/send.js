// @ts-check
// Sends forms without leaving the page. What cannot be sent while the connection is lost stays, and is sent when it is back.
import { place } from "./page.js";

const TRY_AGAIN = 3000;

/** What is being sent; the next form waits for it, so that a guest's second finds the cookie that the first has brought. */
let sending = Promise.resolve();

/** Says what is wrong with the connection, or nothing. */
function offline(words) {
  const note = document.querySelector("#offline");
  note.hidden = !words;
  note.textContent = words;
}

/** Says what the page of a trouble says; the page that is shown stays. */
function tellTrouble(html) {
  const trouble = new DOMParser().parseFromString(html, "text/html");
  offline(
    [...trouble.querySelectorAll("main.trouble > h1, main.trouble > p")]
      .map((part) => part.textContent)
      .join(" "),
  );
}

/**
 * Sends a form once those before it are sent, and shows what comes of it; keeps trying while there is no connection.
 * @param {HTMLFormElement} form
 * @param {FormData} data as it is now
 * @param {{ remember?: boolean, wanted?: () => boolean }} how whether the browser can go back to before it, and whether what comes of it is
 *   still to be shown when it is there
 */
export function sendInTurn(form, data, how = {}) {
  sending = sending.then(() => send(form, data, how));
  return sending;
}

async function send(form, data, how) {
  const { remember = true, wanted = () => true } = how;
  const files = [...data.values()].some((value) => value instanceof File);
  let response;
  try {
    response = await fetch(form.action, {
      method: "POST",
      body: files ? data : new URLSearchParams(data),
      headers: { Accept: "text/html" },
    });
  } catch {
    offline(
      "The connection is lost. What you did is not lost: it is sent as soon as the connection is back. Leave this page open.",
    );
    await new Promise((again) => setTimeout(again, TRY_AGAIN));
    return send(form, data, how);
  }
  if (!response.ok) {
    tellTrouble(await response.text());
    return;
  }
  offline("");
  const html = await response.text();
  if (wanted()) {
    await place(html, response.url, { remember });
  }
}
