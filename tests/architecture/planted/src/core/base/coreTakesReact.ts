import React from "react";
export const wrong = React;
