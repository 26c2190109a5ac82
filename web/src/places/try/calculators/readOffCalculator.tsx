import { api, bodyOf } from '../../../api/client';
import { signed, signedRange } from '../../../lib/number';
import { Answer, AnswerList } from './Answers';
import { PlainCalculator } from './PlainCalculator';

/** Days read off a picture or a note, before a change and after it. */
export function ReadOffCalculator() {
  return (
    <PlainCalculator
      name="read off"
      example="Example: the lowest pH of three days before a fan, and of one day after."
      asked={[
        {
          key: 'before',
          label: 'Lowest (or highest) pH of each day before',
          start: '7.75, 7.72, 7.71',
          text: true,
          hint: 'One number for each day, in order.',
        },
        {
          key: 'after',
          label: 'The same of each day after',
          start: '7.81',
          text: true,
          hint: 'Leave out the first two days: the water has not settled.',
        },
      ]}
      ask={(_, text) =>
        bodyOf(
          api.POST('/api/v1/calculators/read-off', {
            body: { before: text.before ?? '', after: text.after ?? '' },
          }),
        )
      }
      answers={({ compared, thin, daysBefore, daysAfter }) => (
        <>
          <AnswerList>
            <Answer label="by medians" value={signed(compared.raw, 3)} large />
            <Answer
              label="9 in 10"
              value={
                compared.left.low === undefined || compared.left.high === undefined
                  ? 'too few days'
                  : signedRange({
                      value: compared.left.value,
                      low: compared.left.low,
                      high: compared.left.high,
                    })
              }
            />
            <Answer
              label="difference between days"
              value={
                compared.scatter === undefined ? 'not known' : `± ${compared.scatter.toFixed(3)}`
              }
            />
            <Answer label="days" value={`${daysBefore} and ${daysAfter}`} />
          </AnswerList>
          {thin && (
            <p className="mt-3 max-w-prose border-l-4 border-alk pl-3">
              Not enough days: fewer than three on one side.
            </p>
          )}
          <p className="mt-3 max-w-prose text-soft">
            Effects of room, alkalinity and lamps are included here. With a log, Effects subtracts
            them.
          </p>
        </>
      )}
      source="Medians, and the median of all differences (Hodges and Lehmann 1963) with its band from the days’ own scatter. Enter single readings, not a range such as “7.6–7.8”."
    />
  );
}
