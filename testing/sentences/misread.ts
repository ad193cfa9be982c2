/**
 * What is not read as it is meant, with what is meant: an hour between a day and the title may count what follows; a lone
 * "1530" may be a fee; a day and a time in one word; nights and a place without a title; words that are both a part and a
 * title; a weekday that is a title of its own where no other day is said; repeats within a day or a month, and weeks as a whole.
 */
export const MISREAD = `
tomorrow 9 works round => [works round] 2027-03-10T09:00/2027-03-10T10:00
pay fee 1530 thu => [pay fee 1530] 2027-03-11/2027-03-12
board thu10:00 => [board] 2027-03-11T10:00/2027-03-11T11:00
3 nights in Halifax from 18 march => [3 nights in Halifax] 2027-03-18/2027-03-22
whole day off on friday => [day off] 2027-03-12/2027-03-13
this weekend at Gull Point => [this weekend at Gull Point] 2027-03-13/2027-03-15
sunday roast 13:00 => [sunday roast] 2027-03-14T13:00/2027-03-14T14:00
dentist 9 => [dentist] 2027-03-10T09:00/2027-03-10T10:00
planning all week => [planning] 2027-03-08/2027-03-15
meds every 8 hours => [meds] 2027-03-09T10:30/2027-03-09T11:30 rule=FREQ=HOURLY;INTERVAL=8
walk every day in May => [walk] 2027-05-01/2027-05-02 rule=FREQ=DAILY;UNTIL=20270531
board 10:00 and 14:00 thu => [board] 2027-03-11T10:00/2027-03-11T11:00
`;
