"use client";
import { Command } from "cmdk";
import { Dialog } from "radix-ui";
import { useWorkbench } from "@/store/useWorkbench";
import { COMMAND_WORDS } from "@/words/panels/shell/commandWords";
import * as WORDS from "@/words/panels/shell/palette";
import { nameSample } from "@/words/samples";
import { SAMPLES } from "../library/samples";
import { session } from "./browserSession";
import { COMMANDS } from "./commands";
import { formatKeys } from "./KeysSheet";

/** Every command by its name. */
export function Palette({ onClose }: { readonly onClose: () => void }) {
  const library = useWorkbench((state) => state.library);
  const run = (action: () => void) => {
    onClose();
    action();
  };
  const item = "flex min-h-9 items-center justify-between px-3 text-[14px] data-[selected=true]:bg-pick phone:min-h-12";
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/35" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[12vh] left-1/2 z-50 w-[min(34rem,calc(100vw-24px))] -translate-x-1/2 border border-ink bg-paper shadow-[0_10px_40px_rgb(0_0_0/0.3)]"
        >
          <Dialog.Title className="sr-only">{WORDS.searchCommands}</Dialog.Title>
          <Command label={WORDS.commands} loop>
            <Command.Input
              placeholder={WORDS.whatWouldYouLikeTo}
              className="h-12 w-full border-b border-ink bg-sheet px-3 text-[16px] outline-none"
            />
            <Command.List className="max-h-[50vh] overflow-y-auto py-1">
              <Command.Empty className="px-3 py-3 text-faint">{WORDS.nothingIsCalledThatTry}</Command.Empty>
              {COMMANDS.filter((c) => c.id !== "palette" && c.id !== "escape").map((command) => (
                <Command.Item
                  key={command.id}
                  value={command.name}
                  keywords={[...(COMMAND_WORDS[command.id] ?? [])]}
                  onSelect={() => run(command.run)}
                  className={item}
                >
                  {command.name}
                  {command.keys[0] && <span className="figures text-faint">{formatKeys(command.keys[0])}</span>}
                </Command.Item>
              ))}
              {library
                .filter((entry) => entry.fault === null)
                .map((entry) => (
                  <Command.Item
                    key={entry.id}
                    value={`Open ${entry.name} ${entry.id}`}
                    onSelect={() => run(() => void session.open(entry.id))}
                    className={item}
                  >
                    {WORDS.open} {entry.name}
                  </Command.Item>
                ))}
              {SAMPLES.map((name) => (
                <Command.Item
                  key={name}
                  value={`Sample ${name}`}
                  onSelect={() => run(() => void session.openSample(name))}
                  className={item}
                >
                  {WORDS.sampleRig} {nameSample(name)}
                </Command.Item>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
