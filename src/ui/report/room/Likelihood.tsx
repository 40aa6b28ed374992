"use client";
import { forecastSentences, type ShownForecast } from "@/core/kinds";

/** When the rest is likely to be done, and what that rests on. */
export const Likelihood = ({ forecast }: { forecast: ShownForecast }) => (
  <p className="poor" role="status">
    {forecastSentences(forecast).join(" ")}
  </p>
);
