// On a narrow screen the account starts folded, so that the list comes first.

export function foldAccountWhenNarrow() {
  const fold = document.querySelector("#account-fold");
  if (!fold) {
    return;
  }
  const narrow = window.matchMedia("(max-width: 820px)");
  const follow = () => (fold.open = !narrow.matches);
  follow();
  narrow.addEventListener("change", follow);
}
