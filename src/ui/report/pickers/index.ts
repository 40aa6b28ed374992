export { SubjectPicker } from "./SubjectPicker";
export { MeasurePicker } from "./MeasurePicker";
export { ConditionPicker } from "./ConditionPicker";
export { GroupPicker } from "./GroupPicker";
export { ShapePicker } from "./ShapePicker";
export { ShowingPicker, SortPicker, PeriodPicker, StoodPicker } from "./ListPickers";
export { fieldOptions, samePath } from "./fields";
export { Foot } from "./parts";
export type { PickerProps } from "./context";
export {
  BesidePicker,
  BurnsPicker,
  ComparedPicker,
  EndsPicker,
  CurvePicker,
  GrainPicker,
  LastPicker,
  TeamPicker,
  UnitPicker,
  WhichPicker,
  withBeside,
} from "./HistoryPickers";
export { PeriodField } from "./PeriodField";
export { TestEditor } from "./TestEditor";
export { withWhere } from "./where";
