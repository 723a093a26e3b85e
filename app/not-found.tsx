import { LateWorkbench } from "@/ui/shell/LateWorkbench";

/** Every address opens the application: there is one page, and what is open is kept in the browser. */
export default function NotFound() {
  return <LateWorkbench />;
}
