"use client";
import { X } from "lucide-react";
import { useEffect } from "react";
import { useWorkbench } from "@/store/useWorkbench";
import { dismissNotice } from "@/store/workbench";
import * as WORDS from "@/words/panels/kit/noticeBar";
import { Button } from "./Button";

/** A plain word goes by itself; a warning stays until it is read away. */
const STAYS_MS = 9000;

/** What the builder is told, with what can be done about it. */
export function NoticeBar({ isInSheet = false }: { readonly isInSheet?: boolean }) {
  const notice = useWorkbench((state) => state.notice);
  useEffect(() => {
    // what can be undone waits for it
    if (!notice || notice.tone === "warning" || notice.action) return;
    const timer = setTimeout(dismissNotice, STAYS_MS);
    return () => clearTimeout(timer);
  }, [notice]);
  return (
    <div
      aria-live="polite"
      className={
        isInSheet
          ? "flex justify-center px-4 pb-3 empty:hidden"
          : "pointer-events-none fixed inset-x-0 bottom-4 z-30 flex justify-center px-3 phone:bottom-20"
      }
    >
      {notice && (
        <div
          role={notice.tone === "warning" ? "alert" : "status"}
          className={`pointer-events-auto flex max-h-[40vh] max-w-[40rem] items-center overflow-y-auto gap-3 border bg-sheet py-2 pr-1.5 pl-4 shadow-[0_6px_24px_rgb(0_0_0/0.25)] ${notice.tone === "warning" ? "border-l-[6px] border-signal" : "border-ink"}`}
        >
          <p className="min-w-0 text-[14px] break-words">{notice.text}</p>
          {notice.action && (
            <Button
              look="plate"
              onClick={() => {
                const { run } = notice.action!;
                dismissNotice();
                run();
              }}
            >
              {notice.action.label}
            </Button>
          )}
          <Button look="bare" aria-label={WORDS.closeTheMessage} onClick={dismissNotice}>
            <X size={16} aria-hidden />
          </Button>
        </div>
      )}
    </div>
  );
}
