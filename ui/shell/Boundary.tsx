"use client";
import { Component, type ReactNode } from "react";
import { undo, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/shell/boundary";
import { Button } from "../kit/Button";
import { session } from "./browserSession";

type BoundaryProps = { readonly name: string; readonly children: ReactNode };
type BoundaryState = { readonly error: Error | null };

/**
 * Round each region of the page: what fails in one is said there, the others work on. It saves what is committed, offers the
 * way back and the file, and tries again as soon as the design changes.
 */
export class Boundary extends Component<BoundaryProps, BoundaryState> {
  override state: BoundaryState = { error: null };
  #unsubscribe: () => void = () => undefined;

  static getDerivedStateFromError(error: Error): BoundaryState {
    return { error };
  }

  override componentDidCatch(): void {
    void session.flush();
    this.#unsubscribe();
    this.#unsubscribe = workbench.subscribe((now, before) => {
      if (now.history?.design === before.history?.design && now.station === before.station) return;
      this.#again();
    });
  }

  override componentWillUnmount(): void {
    this.#unsubscribe();
  }

  #again(): void {
    this.#unsubscribe();
    this.setState({ error: null });
  }

  override render(): ReactNode {
    const { error } = this.state;
    if (!error) return this.props.children;
    return <Failed name={this.props.name} error={error} onRetry={() => this.#again()} />;
  }
}

type FailedProps = { readonly name: string; readonly error: Error; readonly onRetry: () => void };

/** A part of the page that failed, in our own look: what, that nothing is lost, and what can be done. */
export function Failed({ name, error, onRetry }: FailedProps) {
  const isUnloaded = /loading chunk|failed to load|dynamically imported|importing a module/i.test(error.message);
  return (
    <div role="alert" className="flex flex-col gap-2 border-l-[6px] border-signal bg-paper p-3 text-[14px]">
      <p className="font-semibold">{isUnloaded ? WORDS.couldNotBeLoaded(name) : WORDS.cannotBeShownForThis(name)}</p>
      <p className="text-[13px] text-faint">{isUnloaded ? WORDS.theNetworkOrTheServer : WORDS.nothingOfYourWorkIs}</p>
      <div className="flex flex-wrap gap-1.5">
        <Button look="plate" onClick={onRetry}>
          {WORDS.tryAgain}
        </Button>
        {!isUnloaded && (
          <Button
            onClick={() => {
              undo();
              onRetry();
            }}
          >
            {WORDS.undoTheLastStep}
          </Button>
        )}
        <Button onClick={() => session.download()}>{WORDS.saveToAFile}</Button>
        <Button onClick={() => void session.flush().then(() => window.location.reload())}>{WORDS.reload}</Button>
      </div>
    </div>
  );
}
