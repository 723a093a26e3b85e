const CHANNEL = "schleuse-saved";

/** What a tab tells the others of a design. */
export type TabNews = { readonly kind: "saved" | "deleted" | "restored"; readonly id: string };

/** The other tabs of the same browser, where it lets them talk. */
export class Tabs {
  #channel: BroadcastChannel | null;

  constructor(onNews: (news: TabNews) => void) {
    this.#channel = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel(CHANNEL);
    if (!this.#channel) return;
    this.#channel.onmessage = ({ data }: MessageEvent) => {
      const news = readNews(data);
      if (news) onNews(news);
    };
  }

  tell(news: TabNews): void {
    this.#channel?.postMessage(news);
  }

  close(): void {
    this.#channel?.close();
    this.#channel = null;
  }
}

// A tab of an older version says only which design it saved.
function readNews(data: unknown): TabNews | null {
  if (typeof data === "string") return { kind: "saved", id: data };
  if (typeof data !== "object" || data === null) return null;
  const { kind, id } = data as Partial<TabNews>;
  return typeof id === "string" && (kind === "saved" || kind === "deleted" || kind === "restored")
    ? { kind, id }
    : null;
}
