import type { Report } from "@/core/kinds";
import type { AskContext } from "@/core/catalog";

/** What every picker works on. */
export interface PickerProps {
  readonly context: AskContext;
  readonly report: Report;
  readonly onChange: (report: Report) => void;
  readonly onDone: () => void;
}
