import { hydrateRoot } from "react-dom/client";
import { registerOffline } from "../shell/registerOffline";
import { UnderPage } from "./UnderPage";

// Brings the phone's page to life by React alone: nothing is navigated to from here, so the framework's own half stays away.
const place = document.getElementById("under");
if (place) hydrateRoot(place, <UnderPage />);
registerOffline();
