/** Days, as hurried people write them, each with the whole reading; today is Tuesday 9 March 2027, 10:20. */
export const DAYS = `
claim due 15 april => [claim due] 2027-04-15/2027-04-16
claim due april 15 => [claim due] 2027-04-15/2027-04-16
claim due 15th april => [claim due] 2027-04-15/2027-04-16
claim due 15th of april => [claim due] 2027-04-15/2027-04-16
claim due the 15th of April => [claim due] 2027-04-15/2027-04-16
claim due April 15th => [claim due] 2027-04-15/2027-04-16
claim due Apr 15 => [claim due] 2027-04-15/2027-04-16
claim due 15 apr. => [claim due] 2027-04-15/2027-04-16
lens order 12 April 2028 => [lens order] 2028-04-12/2028-04-13
lens order April 12, 2028 => [lens order] 2028-04-12/2028-04-13
lens order 12.4. => [lens order] 2027-04-12/2027-04-13
lens order 12.4.2027 => [lens order] 2027-04-12/2027-04-13
lens order 12.04.2027 => [lens order] 2027-04-12/2027-04-13
lens order 12/04 => [lens order] 2027-04-12/2027-04-13 or=2027-12-04
lens order 12/04/2027 => [lens order] 2027-04-12/2027-04-13 or=2027-12-04
lens order 12/4/27 => [lens order] 2027-04-12/2027-04-13 or=2027-12-04
lens order 12-04-2027 => [lens order] 2027-04-12/2027-04-13 or=2027-12-04
lens order 2027-04-12 => [lens order] 2027-04-12/2027-04-13
lens order 25/12 => [lens order] 2027-12-25/2027-12-26
lens order 04/25 => [lens order] 2027-04-25/2027-04-26
lens order fri 12 march => [lens order] 2027-03-12/2027-03-13
lens order friday 12 march => [lens order] 2027-03-12/2027-03-13
lens order Friday, 12 March => [lens order] 2027-03-12/2027-03-13
lens order Friday 12th March 2027 => [lens order] 2027-03-12/2027-03-13
lens order Friday the 12th => [lens order] 2027-03-12/2027-03-13
lens order March the 12th => [lens order] 2027-03-12/2027-03-13
lens order the 12th => [lens order] 2027-03-12/2027-03-13
lens order on the 12th => [lens order] 2027-03-12/2027-03-13
lens order on the 5th => [lens order] 2027-04-05/2027-04-06
rent 15th => [rent] 2027-03-15/2027-03-16
boat check today => [boat check] 2027-03-09/2027-03-10
boat check tomorrow => [boat check] 2027-03-10/2027-03-11
boat check tmrw => [boat check] 2027-03-10/2027-03-11
boat check tmr 9:00 => [boat check] 2027-03-10T09:00/2027-03-10T10:00
boat check day after tomorrow => [boat check] 2027-03-11/2027-03-12
boat check the day after tomorrow => [boat check] 2027-03-11/2027-03-12
boat check yesterday => [boat check] 2027-03-08/2027-03-09
boat check wednesday => [boat check] 2027-03-10/2027-03-11
boat check wed => [boat check] 2027-03-10/2027-03-11
boat check weds => [boat check] 2027-03-10/2027-03-11
boat check thur => [boat check] 2027-03-11/2027-03-12
boat check thurs => [boat check] 2027-03-11/2027-03-12
boat check on sat => [boat check] 2027-03-13/2027-03-14
boat check this friday => [boat check] 2027-03-12/2027-03-13
boat check next friday => [boat check] 2027-03-19/2027-03-20 or=2027-03-12
boat check next wednesday => [boat check] 2027-03-17/2027-03-18 or=2027-03-10
boat check coming friday => [boat check] 2027-03-12/2027-03-13
boat check last friday => [boat check] 2027-03-05/2027-03-06
boat check tuesday => [boat check] 2027-03-09/2027-03-10
boat check tue 9:00 => [boat check] 2027-03-16T09:00/2027-03-16T10:00
boat check tue 14:00 => [boat check] 2027-03-09T14:00/2027-03-09T15:00
boat check next tuesday => [boat check] 2027-03-16/2027-03-17
boat check monday week => [boat check] 2027-03-22/2027-03-23
boat check thursday week 9:00 => [boat check] 2027-03-18T09:00/2027-03-18T10:00
boat check a week on thursday => [boat check] 2027-03-18/2027-03-19
boat check two weeks on thursday => [boat check] 2027-03-25/2027-03-26
boat check in two weeks on thursday => [boat check] 2027-03-25/2027-03-26
boat check thursday in two weeks => [boat check] 2027-03-25/2027-03-26
boat check in a week => [boat check] 2027-03-16/2027-03-17
boat check in 2 weeks => [boat check] 2027-03-23/2027-03-24
boat check in three weeks => [boat check] 2027-03-30/2027-03-31
boat check in a fortnight => [boat check] 2027-03-23/2027-03-24
boat check in 10 days => [boat check] 2027-03-19/2027-03-20
boat check in a month => [boat check] 2027-04-09/2027-04-10
boat check in 2 months => [boat check] 2027-05-09/2027-05-10
boat check 3 days from now => [boat check] 2027-03-12/2027-03-13
boat check 2 weeks from tomorrow => [boat check] 2027-03-10/2027-03-24
boat check a week today => [boat check] 2027-03-16/2027-03-17
boat check a week from today => [boat check] 2027-03-09/2027-03-16
boat check tomorrow week => [boat check] 2027-03-17/2027-03-18
boat check today week => [boat check] 2027-03-16/2027-03-17
boat check tuesday next week => [boat check] 2027-03-16/2027-03-17
boat check next week tuesday => [boat check] 2027-03-16/2027-03-17
boat check next week on friday => [boat check] 2027-03-19/2027-03-20
boat check friday this week => [boat check] 2027-03-12/2027-03-13
boat check this weekend => [boat check] 2027-03-13/2027-03-15
boat check next weekend => [boat check] 2027-03-20/2027-03-22
boat check next week => [boat check] 2027-03-15/2027-03-16
boat check next month => [boat check] 2027-04-01/2027-04-02
boat check week 14 => [boat check] 2027-04-05/2027-04-06
boat check wk 14 => [boat check] 2027-04-05/2027-04-06
boat check friday week 14 => [boat check] 2027-04-09/2027-04-10
boat check w14 => [boat check] 2027-04-05/2027-04-06
boat check first monday in may => [boat check] 2027-05-03/2027-05-04
boat check last friday of june => [boat check] 2027-06-25/2027-06-26
boat check the second tuesday of next month => [boat check] 2027-04-13/2027-04-14
boat check end of month => [boat check] 2027-03-31/2027-04-01
boat check end of april => [boat check] 2027-04-30/2027-05-01
boat check end of the week => [boat check] 2027-03-12/2027-03-13
boat check beginning of may => [boat check] 2027-05-01/2027-05-02
boat check start of next month => [boat check] 2027-04-01/2027-04-02
boat check end of next month => [boat check] 2027-04-30/2027-05-01
boat check end of year => [boat check] 2027-12-31/2028-01-01
boat check middle of may => [boat check] 2027-05-15/2027-05-16
12 april boat check => [boat check] 2027-04-12/2027-04-13
friday boat check => [boat check] 2027-03-12/2027-03-13
tomorrow boat check => [boat check] 2027-03-10/2027-03-11
on friday boat check => [boat check] 2027-03-12/2027-03-13
report 12 feb => [report] 2028-02-12/2028-02-13 or=2027-02-12
report 1 march => [report] 2028-03-01/2028-03-02 or=2027-03-01
report 8 march => [report] 2028-03-08/2028-03-09 or=2027-03-08
report 29 feb => [report] 2028-02-29/2028-03-01
report mon 1 mar => [report] 2027-03-01/2027-03-02
report thu 12 april => [report] 2027-04-12/2027-04-13 wrong=weekday-differs
report 31/04/2027 => [report 31/04/2027] 2027-03-09T10:30/2027-03-09T11:30 wrong=no-such-date
report 31 april => [report 31 april] 2027-03-09T10:30/2027-03-09T11:30 wrong=no-such-date
report 30 feb 2027 => [report 30 feb 2027] 2027-03-09T10:30/2027-03-09T11:30 wrong=no-such-date
report 32 march => [report 32 march] 2027-03-09T10:30/2027-03-09T11:30 wrong=no-such-date
report 00/05/2027 => [report 00/05/2027] 2027-03-09T10:30/2027-03-09T11:30 wrong=no-such-date
report 31.4.2027 9:00 => [report 31.4.2027] 2027-03-10T09:00/2027-03-10T10:00 wrong=no-such-date
in 2 days boat check => [boat check] 2027-03-11/2027-03-12
25 december office closed => [office closed] 2027-12-25/2027-12-26
office closed dec 24 => [office closed] 2027-12-24/2027-12-25
grant opens 1/5 => [grant opens] 2027-05-01/2027-05-02 or=2028-01-05
grant opens 1 may => [grant opens] 2027-05-01/2027-05-02
grant opens may 1 => [grant opens] 2027-05-01/2027-05-02
grant opens may 1 2028 => [grant opens] 2028-05-01/2028-05-02
grant opens 1st may => [grant opens] 2027-05-01/2027-05-02
grant opens sunday 28 march => [grant opens] 2027-03-28/2027-03-29
wed 17 march survey => [survey] 2027-03-17/2027-03-18
boat check on wed 10 mar => [boat check] 2027-03-10/2027-03-11
boat check by friday => [boat check] 2027-03-12/2027-03-13
send list by 12 march => [send list] 2027-03-12/2027-03-13
send list for monday => [send list] 2027-03-15/2027-03-16
boat check 12 march '27 => [boat check] 2027-03-12/2027-03-13
boat check fri, 12 mar => [boat check] 2027-03-12/2027-03-13
boat check Sat 13th => [boat check] 2027-03-13/2027-03-14
boat check 3 weeks from friday => [boat check] 2027-04-02/2027-04-03
`;
