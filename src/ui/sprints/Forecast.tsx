"use client";
import {
  forecastSentences,
  oddsWords,
  type BurndownAnswer,
  type ShownForecast,
  type ShownPace,
} from "@/core/kinds";

import { dayText } from "@/core/time";

import { Fan } from "../charts";

interface ForecastProps {
  readonly answer: BurndownAnswer | null;
  readonly pace: ShownPace | null;
  readonly forecast: ShownForecast | null;
  /** The local day on which it is planned to end. */
  readonly planned: string | null;
  readonly running: boolean;
}

/** When a sprint may be done, plainly a likelihood, with what it rests on. */
export function Forecast({ answer, pace, forecast, planned, running }: ForecastProps) {
  return (
    <section className="forecast" aria-label="When will it be done?">
      <div className="head">
        <span>When will it be done?</span>
      </div>
      {!running ? (
        <p className="note" style={{ paddingTop: 8 }}>
          Only a sprint that is running has a likelihood.
        </p>
      ) : !forecast ? (
        <p className="note">Counting …</p>
      ) : forecast.why || !forecast.forecast ? (
        <p>{forecast.why}</p>
      ) : (
        <>
          <p>
            {planned && (
              <>
                <b>{oddsWords(forecast, planned)}</b> {dayText(planned)}.
              </>
            )}
          </p>
          {answer && pace && (
            <Fan answer={answer} pace={pace} forecast={forecast.forecast} days={forecast.days} />
          )}
          {forecastSentences(forecast).map((sentence) => (
            <p key={sentence} className="note">
              {sentence}
            </p>
          ))}
          <p className="note">A likelihood, not a promise.</p>
        </>
      )}
    </section>
  );
}
