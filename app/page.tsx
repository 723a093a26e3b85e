import { Workbench } from "@/ui/shell/Workbench";

export default function Page() {
  return <Workbench />;
}
