// @ts-check
// What pages do beyond links and forms. Everything here can be missing and the pages still work.
import { followBrief } from "./brief.js";
import { followChoice } from "./choose.js";
import { followFind } from "./find.js";
import { listenForKeys } from "./keys.js";
import { followList } from "./list.js";
import { followSeats } from "./live.js";
import { followLooks } from "./look.js";
import { followAddress } from "./page.js";
import { keepPlace } from "./place.js";
import { followPlan } from "./plan.js";
import { followReady } from "./ready.js";
import { followWeek } from "./week.js";
import { followWishes } from "./wish.js";
import { narrowLongLists } from "./narrow.js";

document.documentElement.classList.remove("arriving");
followAddress();
followBrief();
followChoice();
followFind();
followList();
followLooks();
followPlan();
followReady();
followSeats();
followWeek();
followWishes();
narrowLongLists();
listenForKeys();
// Last: it has to see what the others have kept from leaving the page.
keepPlace();
