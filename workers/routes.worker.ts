import * as Comlink from "comlink";
import { routesApi } from "./routesApi";

Comlink.expose(routesApi);
