import { isDate, isNumeric, typeOf, type Field } from "../../catalog";

/** Which fields operators fit. */
export const fitsNumber = (field: Field): boolean => isNumeric(field) && !field.many;
export const fitsDate = (field: Field): boolean => isDate(field) && !field.many;
export const fitsText = (field: Field): boolean => typeOf(field).kept === "text" && !field.many;
export const fitsOne = (field: Field): boolean => !field.many && !isDate(field);
export const fitsMany = (field: Field): boolean => field.many === true;
