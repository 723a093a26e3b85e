import * as Comlink from "comlink";
import { standingApi } from "./standingApi";

Comlink.expose(standingApi);
