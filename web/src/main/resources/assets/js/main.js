// What pages do beyond links and forms. Everything here can be missing and the pages still work.
import { followBrief } from "./brief.js";
import { foldAccountWhenNarrow } from "./fold.js";
import { listenForKeys } from "./keys.js";

followBrief();
foldAccountWhenNarrow();
listenForKeys();
