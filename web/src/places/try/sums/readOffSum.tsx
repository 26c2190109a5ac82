import { api, bodyOf } from '../../../api/client';
import { signed, signedRange } from '../../../lib/number';
import { Answer, AnswerList } from './Answers';
import { PlainSum } from './PlainSum';

/** Days read off a picture or a note, before a change and after it. */
export function ReadOffSum() {
  return (
    <PlainSum
      name="read off"
      example="Worked example: the lowest pH of three days before a fan was put on, and of one after it."
      asked={[
        {
          key: 'before',
          label: 'Lowest (or highest) pH of each day before',
          start: '7.75, 7.72, 7.71',
          text: true,
          hint: 'One number for each day, in their order.',
        },
        {
          key: 'after',
          label: 'The same of each day after',
          start: '7.81',
          text: true,
          hint: 'Without the first two days: the water has not settled.',
        },
      ]}
      ask={(_, text) =>
        bodyOf(
          api.POST('/api/v1/sums/read-off', {
            body: { before: text.before ?? '', after: text.after ?? '' },
          }),
        )
      }
      answers={({ compared, thin, daysBefore, daysAfter }) => (
        <>
          <AnswerList>
            <Answer label="by medians" value={signed(compared.raw, 3)} large />
            <Answer
              label="nine times in ten"
              value={
                compared.left.low === undefined || compared.left.high === undefined
                  ? 'single days cannot tell'
                  : signedRange({
                      value: compared.left.value,
                      low: compared.left.low,
                      high: compared.left.high,
                    })
              }
            />
            <Answer
              label="one day from another, before as after"
              value={
                compared.scatter === undefined ? 'not known' : `± ${compared.scatter.toFixed(3)}`
              }
            />
            <Answer label="days" value={`${daysBefore} and ${daysAfter}`} />
          </AnswerList>
          {thin && (
            <p className="mt-3 max-w-prose border-l-4 border-alk pl-3">
              Thin: fewer than three days on a side.
            </p>
          )}
          <p className="mt-3 max-w-prose text-soft">
            Nothing is explained here: what room, alkalinity and lamps did is in it. With a log,
            Effects takes that off.
          </p>
        </>
      )}
      source="Medians, and the median of all differences (Hodges and Lehmann 1963) with its band from the days’ own scatter. A range such as “7.6–7.8” is no day’s reading and is refused."
    />
  );
}
