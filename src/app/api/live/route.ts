import { watchRecords } from "@/server/web";
import { notSignedIn } from "../../reply";
import { currentDesk } from "../../session";

/** At most once in this time is somebody told; what happens meanwhile is told after it. */
const PACE_MS = 2_000;
const BEAT_MS = 25_000;
/** A stream ends after this time and is opened anew, with the rights of then. */
const LIFE_MS = 600_000;

/** Tells an open dashboard that records have changed which its viewer may see: server-sent events without content. */
export async function GET(request: Request): Promise<Response> {
  const found = await currentDesk();
  if (!found) return notSignedIn();
  const { viewer } = found.desk;
  let end = () => undefined as void;
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (text: string) => controller.enqueue(new TextEncoder().encode(text));
      let waits: ReturnType<typeof setTimeout> | null = null;
      let last = 0;
      const say = () => {
        waits = null;
        last = Date.now();
        write("event: records\ndata: changed\n\n");
      };
      const tell = () => {
        waits ??= setTimeout(say, Math.max(0, PACE_MS - (Date.now() - last)));
      };
      const stop = watchRecords(viewer, tell);
      const beat = setInterval(() => write(": still here\n\n"), BEAT_MS);
      const life = setTimeout(() => end(), LIFE_MS);
      end = () => {
        end = () => undefined;
        stop();
        clearInterval(beat);
        clearTimeout(life);
        if (waits) clearTimeout(waits);
        try {
          controller.close();
        } catch {
          // The reader went first.
        }
      };
      write("retry: 3000\n\n");
    },
    cancel: () => end(),
  });
  request.signal.addEventListener("abort", () => end());
  return new Response(body, {
    headers: { "content-type": "text/event-stream", "cache-control": "no-store, no-transform" },
  });
}
