import * as Comlink from "comlink";
import { serve } from "./serve";

Comlink.expose(serve);
