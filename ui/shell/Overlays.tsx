"use client";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { CompareSheet } from "../compare/CompareSheet";
import { HandbookSheet } from "../handbook/HandbookSheet";
import { StandingMapSheet } from "../level/StandingMapSheet";
import { LibrarySheet } from "../library/LibrarySheet";
import { NewDesignSheet } from "../library/NewDesignSheet";
import { SumsSheet } from "../sums/SumsSheet";
import { WaterwaySheet } from "../waterway/WaterwaySheet";
import { KeysSheet } from "./KeysSheet";
import { Palette } from "./Palette";

const close = () => look({ overlay: null });

/** What lies over the drawings; loaded when it is first wanted. */
export function Overlays() {
  const overlay = useWorkbench((state) => state.overlay);
  switch (overlay) {
    case "library":
      return <LibrarySheet onClose={close} />;
    case "newDesign":
      return <NewDesignSheet onClose={close} />;
    case "palette":
      return <Palette onClose={close} />;
    case "keys":
      return <KeysSheet onClose={close} />;
    case "waterway":
      return <WaterwaySheet onClose={close} />;
    case "sums":
      return <SumsSheet onClose={close} />;
    case "handbook":
      return <HandbookSheet onClose={close} />;
    case "compare":
      return <CompareSheet onClose={close} />;
    case "standingMap":
      return <StandingMapSheet onClose={close} />;
    default:
      return null;
  }
}
