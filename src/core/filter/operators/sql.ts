import type { OperatorId } from ".";
import { after } from "./after.sql";
import { atLeast } from "./atLeast.sql";
import { atMost } from "./atMost.sql";
import { before } from "./before.sql";
import { between } from "./between.sql";
import { betweenDays } from "./betweenDays.sql";
import { contains } from "./contains.sql";
import { doesNotContain } from "./doesNotContain.sql";
import { during } from "./during.sql";
import { include } from "./include.sql";
import { includeAllOf } from "./includeAllOf.sql";
import { includeAnyOf } from "./includeAnyOf.sql";
import { includeNoneOf } from "./includeNoneOf.sql";
import { is } from "./is.sql";
import { isAnyOf } from "./isAnyOf.sql";
import { isEmpty } from "./isEmpty.sql";
import { isNoneOf } from "./isNoneOf.sql";
import { isNot } from "./isNot.sql";
import { isNotEmpty } from "./isNotEmpty.sql";
import { on } from "./on.sql";
import { over } from "./over.sql";
import { since } from "./since.sql";
import { startsWith } from "./startsWith.sql";
import { under } from "./under.sql";
import { until } from "./until.sql";
import type { OperatorSql } from "./defineOperator";

/** The SQL of every operator. */
export const operatorSql = {
  is,
  isNot,
  isAnyOf,
  isNoneOf,
  contains,
  doesNotContain,
  startsWith,
  include,
  includeAnyOf,
  includeAllOf,
  includeNoneOf,
  over,
  under,
  atLeast,
  atMost,
  between,
  during,
  before,
  after,
  on,
  since,
  until,
  betweenDays,
  isEmpty,
  isNotEmpty,
} as const satisfies Record<OperatorId, OperatorSql>;
