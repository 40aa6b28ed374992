export { CURVES, type Curve, type SCurveReport } from "./schema";
