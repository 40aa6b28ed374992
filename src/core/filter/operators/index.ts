import { after } from "./after";
import { atLeast } from "./atLeast";
import { atMost } from "./atMost";
import { before } from "./before";
import { between } from "./between";
import { betweenDays } from "./betweenDays";
import { contains } from "./contains";
import type { Operator } from "./defineOperator";
import { doesNotContain } from "./doesNotContain";
import { during } from "./during";
import { include } from "./include";
import { includeAllOf } from "./includeAllOf";
import { includeAnyOf } from "./includeAnyOf";
import { includeNoneOf } from "./includeNoneOf";
import { is } from "./is";
import { isAnyOf } from "./isAnyOf";
import { isEmpty } from "./isEmpty";
import { isNoneOf } from "./isNoneOf";
import { isNot } from "./isNot";
import { isNotEmpty } from "./isNotEmpty";
import { on } from "./on";
import { over } from "./over";
import { since } from "./since";
import { startsWith } from "./startsWith";
import { under } from "./under";
import { until } from "./until";

/** Every operator, in the order of menus. */
export const operators = {
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
} as const satisfies Record<string, Operator>;
export type OperatorId = keyof typeof operators;
export const OPERATOR_IDS = Object.keys(operators) as [OperatorId, ...OperatorId[]];
export type { Operator, Takes } from "./defineOperator";
