// What definitions must look like when they come from outside: entered by whoever reads what is sent or kept.
export { MeasureSchema, PlainMeasureSchema, SimpleMeasureSchema } from "./measure.schema";
export {
  DayText,
  MomentText,
  FieldPathSchema,
  GroupSchema,
  reportBase,
  SortSchema,
  SubjectSchema,
  workBase,
} from "./report.schema";
export { ColorSchema, DressSchema, RuleSchema, ZoneSchema } from "./dress.schema";
export {
  BoardFilterSchema,
  DashboardSchema,
  DeckSchema,
  ReportTileSchema,
  TextTileSchema,
  TileSchema,
} from "./dashboard.schema";
