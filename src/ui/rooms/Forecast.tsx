"use client";
import {
  forecastSentences,
  oddsWords,
  type BurndownAnswer,
  type ShownForecast,
  type ShownPace,
} from "@/core/kinds";

import styled from "styled-components";
import { dayText } from "@/core/time";

import { Fan } from "../charts";

const Likelihood = styled.section`
  background: var(--salt);
  padding: 10px 14px;
  .head {
    font-weight: 650;
  }
  p {
    font: 400 17px/24px var(--serif);
  }
  p b {
    font-weight: 620;
  }
  .note {
    font: 400 12.5px/17px var(--sans);
    color: var(--ink-2);
  }
`;

interface ForecastProps {
  readonly thing: "sprint" | "release";
  readonly answer: BurndownAnswer | null;
  readonly pace: ShownPace | null;
  readonly forecast: ShownForecast | null;
  /** The local day on which it is planned to end. */
  readonly planned: string | null;
  readonly running: boolean;
}

/** When a sprint or a release may be done, plainly a likelihood, with what it rests on. */
export function Forecast({ thing, answer, pace, forecast, planned, running }: ForecastProps) {
  return (
    <Likelihood aria-label="When will it be done?">
      <div className="head">
        <span>When will it be done?</span>
      </div>
      {!running ? (
        <p className="note">Only a {thing} that is running has a likelihood.</p>
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
    </Likelihood>
  );
}
