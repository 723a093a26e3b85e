import { startTransition } from "react";
import { hydrateRoot } from "react-dom/client";
import { pause } from "@/store/pause";
import { registerOffline } from "../shell/registerOffline";
import { UnderPage } from "./UnderPage";

// Brings the phone's page to life by React alone: nothing is navigated to from here, so the framework's own half stays away.
// What was just read is let stand first, and then taken in slices, so that a thumb is answered in between.
const place = document.getElementById("under");
if (place) void pause().then(() => startTransition(() => void hydrateRoot(place, <UnderPage />)));
registerOffline();
