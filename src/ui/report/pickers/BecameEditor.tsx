"use client";
import type { Report } from "@/core/kinds";
import { type AskContext, type Field } from "@/core/catalog";

import { type Became, type Leaf, type Value } from "@/core/filter";
import { Checkbox, type Option } from "../../kit";
import { Names } from "./Names";
import { PeriodField } from "./PeriodField";

export function BecameEditor({
  context,
  report,
  except,
  leaf,
  field,
  onSet,
}: {
  context: AskContext;
  report: Report;
  except: number | null;
  leaf: Became;
  field: Field;
  onSet: (leaf: Leaf) => void;
}) {
  const { from, during, ...rest } = leaf;
  const unset: Option<Value> = { value: { kind: "unset" }, label: "not set" };
  return (
    <div>
      <Names
        report={report}
        except={except}
        field={field}
        ids={leaf.field}
        chosen={[leaf.to]}
        more={[unset]}
        onChoose={(to) => onSet({ ...leaf, to })}
      />
      <div style={{ padding: "2px 12px 8px", display: "grid", gap: 4 }}>
        <PeriodField
          context={context}
          label="During (empty: ever)"
          period={during}
          onPeriod={(period) =>
            onSet({ ...rest, ...(from ? { from } : {}), ...(period ? { during: period } : {}) })
          }
        />
        <Checkbox
          isSelected={from !== undefined}
          onChange={(on) =>
            onSet({
              ...rest,
              ...(during ? { during } : {}),
              ...(on ? { from: { kind: "unset" } } : {}),
            })
          }
        >
          After being …
        </Checkbox>
      </div>
      {from && (
        <Names
          report={report}
          except={except}
          field={field}
          ids={leaf.field}
          chosen={[from]}
          more={[unset]}
          onChoose={(value) => onSet({ ...leaf, from: value })}
        />
      )}
    </div>
  );
}
