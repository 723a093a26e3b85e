import * as Comlink from "comlink";
import { tanksApi } from "./tanksApi";

Comlink.expose(tanksApi);
