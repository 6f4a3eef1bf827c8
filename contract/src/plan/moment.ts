import Joi from 'joi';

/** A day of the calendar, not the thirty-first of a February. */
const isDay = (text: string): boolean => {
  const [, year, month, day] = /^(\d{4})-(\d\d)-(\d\d)/.exec(text) ?? [];
  return (
    day === undefined || new Date(Date.UTC(Number(year), Number(month) - 1, Number(day))).getUTCDate() === Number(day)
  );
};

/** A moment, ISO 8601. */
export const moment = (): Joi.StringSchema =>
  Joi.string()
    .isoDate()
    .custom((text: string, helpers) => (isDay(text) ? text : helpers.error('string.isoDate')));
