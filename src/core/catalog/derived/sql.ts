import { age } from "./age.sql";
import { ageInStatus } from "./ageInStatus.sql";
import { cycleTime } from "./cycleTime.sql";
import { finished } from "./finished.sql";
import { lastChanged } from "./lastChanged.sql";
import { leadTime } from "./leadTime.sql";
import { newValue } from "./newValue.sql";
import { oldValue } from "./oldValue.sql";
import { reassigned } from "./reassigned.sql";
import { reopened } from "./reopened.sql";
import { resolutionTarget } from "./resolutionTarget.sql";
import { resolutionTime } from "./resolutionTime.sql";
import { resolutionTimeLeft } from "./resolutionTimeLeft.sql";
import { responseTarget } from "./responseTarget.sql";
import { responseTime } from "./responseTime.sql";
import { responseTimeLeft } from "./responseTimeLeft.sql";
import { slaResolution } from "./slaResolution.sql";
import { slaResponse } from "./slaResponse.sql";
import { stage } from "./stage.sql";
import { started } from "./started.sql";
import { timeInStatus } from "./timeInStatus.sql";
import { milestoneSql } from "./milestone.sql";
import { projectSql } from "./project.sql";
import { timeEntrySql } from "./timeEntry.sql";
import { timeSpent } from "./timeSpent.sql";
import type { DerivedSql } from "./defineDerived";

/** The SQL of every derived field. */
export const derivedSql = {
  stage,
  started,
  finished,
  age,
  ageInStatus,
  leadTime,
  cycleTime,
  timeInStatus,
  timeSpent,
  slaResponse,
  slaResolution,
  responseTarget,
  responseTime,
  resolutionTarget,
  resolutionTime,
  responseTimeLeft,
  resolutionTimeLeft,
  reassigned,
  reopened,
  lastChanged,
  oldValue,
  newValue,
  ...timeEntrySql,
  ...projectSql,
  ...milestoneSql,
} as const satisfies Record<string, DerivedSql>;
export type DerivedId = keyof typeof derivedSql;
