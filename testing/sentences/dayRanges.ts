/** Ranges of days, as hurried people write them, each with the whole reading; today is Tuesday 9 March 2027, 10:20. */
export const DAY_RANGES = `
holiday 3-7 may => [holiday] 2027-05-03/2027-05-08
holiday 3 - 7 May => [holiday] 2027-05-03/2027-05-08
holiday 3–7 May => [holiday] 2027-05-03/2027-05-08
holiday 3 to 7 may => [holiday] 2027-05-03/2027-05-08
holiday from 3 May to 7 May => [holiday] 2027-05-03/2027-05-08
holiday from 3 to 7 may => [holiday] 2027-05-03/2027-05-08
holiday 3.-7. May => [holiday] 2027-05-03/2027-05-08
holiday 3.5.-7.5. => [holiday] 2027-05-03/2027-05-08
holiday 3 May - 7 May => [holiday] 2027-05-03/2027-05-08
holiday may 3-7 => [holiday] 2027-05-03/2027-05-08
holiday may 3 to 7 => [holiday] 2027-05-03/2027-05-08
holiday May 3 - May 7 => [holiday] 2027-05-03/2027-05-08
holiday May 3rd to 7th => [holiday] 2027-05-03/2027-05-08
holiday 3rd-7th may => [holiday] 2027-05-03/2027-05-08
holiday 3rd to the 7th of may => [holiday] 2027-05-03/2027-05-08
holiday mon 3 to fri 7 may => [holiday] 2027-05-03/2027-05-08
holiday 28 march - 2 april => [holiday] 2027-03-28/2027-04-03
holiday 28 dec - 3 jan => [holiday] 2027-12-28/2028-01-04
holiday 28 dec to 3 jan => [holiday] 2027-12-28/2028-01-04
holiday from 29 march until 2 april => [holiday] 2027-03-29/2027-04-03
holiday 3-7 May 2028 => [holiday] 2028-05-03/2028-05-08
holiday 3/5-7/5 => [holiday] 2027-05-03/2027-05-08 or=2028-03-05
holiday 03/05/2027 - 07/05/2027 => [holiday] 2027-05-03/2027-05-08 or=2027-03-05
holiday 2027-05-03 to 2027-05-07 => [holiday] 2027-05-03/2027-05-08
holiday wed to fri => [holiday] 2027-03-10/2027-03-13
holiday wed-fri => [holiday] 2027-03-10/2027-03-13
holiday from wednesday to friday => [holiday] 2027-03-10/2027-03-13
holiday tomorrow until friday => [holiday] 2027-03-10/2027-03-13
holiday tomorrow to friday => [holiday] 2027-03-10/2027-03-13
holiday today - thursday => [holiday] 2027-03-09/2027-03-12
holiday until friday => [holiday] 2027-03-09/2027-03-13
holiday till 16 march => [holiday] 2027-03-09/2027-03-17
holiday through friday => [holiday] 2027-03-09/2027-03-13
holiday next mon to next wed => [holiday] 2027-03-15/2027-03-18
away for two weeks from 5 July => [away] 2027-07-05/2027-07-19
away two weeks from 5 july => [away] 2027-07-05/2027-07-19
away from 5 july for 2 weeks => [away] 2027-07-05/2027-07-19
away for a week from monday => [away] 2027-03-15/2027-03-22
away 5 july for 10 days => [away] 2027-07-05/2027-07-15
away for 3 days from wed => [away] 2027-03-10/2027-03-13
3 day workshop from wed => [workshop] 2027-03-10/2027-03-13
2-day course from 12 april => [course] 2027-04-12/2027-04-14
two day course 12 april => [course] 2027-04-12/2027-04-14
workshop 12 april 3 days => [workshop] 2027-04-12/2027-04-15
workshop 12 april for three days => [workshop] 2027-04-12/2027-04-15
workshop from mon for 5 days => [workshop] 2027-03-15/2027-03-20
trip to Halifax 18 march for 4 days => [trip to Halifax] 2027-03-18/2027-03-22
halifax trip 18-21 march => [halifax trip] 2027-03-18/2027-03-22
conference thu-sat => [conference] 2027-03-11/2027-03-14
conference Thu - Sat => [conference] 2027-03-11/2027-03-14
Skerry tower all day thursday => [Skerry tower] 2027-03-11/2027-03-12
all day thursday Skerry tower => [Skerry tower] 2027-03-11/2027-03-12
all day training => [training] 2027-03-09/2027-03-10
office closed all day 12 april => [office closed] 2027-04-12/2027-04-13
ferry thu 23:00 to fri 02:00 => [ferry] 2027-03-11T23:00/2027-03-12T02:00
ferry Thu 23:00 - Fri 02:00 => [ferry] 2027-03-11T23:00/2027-03-12T02:00
ferry thu 11pm to fri 2am => [ferry] 2027-03-11T23:00/2027-03-12T02:00
ferry from thu 23:00 until fri 02:00 => [ferry] 2027-03-11T23:00/2027-03-12T02:00
watch 14:00 thu to 11:00 sat => [watch] 2027-03-11T14:00/2027-03-13T11:00
watch thu 14:00 to sat 11:00 => [watch] 2027-03-11T14:00/2027-03-13T11:00
watch from 12 april 9:00 to 14 april 17:00 => [watch] 2027-04-12T09:00/2027-04-14T17:00
watch 12 april 18:00 - 13 april 6:00 => [watch] 2027-04-12T18:00/2027-04-13T06:00
crossing tomorrow 22:00 to thursday 7:00 => [crossing] 2027-03-10T22:00/2027-03-11T07:00
night trial tomorrow 22:00-02:00 => [night trial] 2027-03-10T22:00/2027-03-11T02:00
night trial tomorrow 22 to 2 => [night trial] 2027-03-10T22:00/2027-03-11T02:00
night trial tomorrow 10pm-2am => [night trial] 2027-03-10T22:00/2027-03-11T02:00
course 3-7 may 9-12 => [course] 2027-05-03T09:00/2027-05-03T12:00 rule=FREQ=DAILY;UNTIL=20270507
course 3-5 may 9:00-12:00 => [course] 2027-05-03T09:00/2027-05-03T12:00 rule=FREQ=DAILY;UNTIL=20270505
course mon-wed => [course] 2027-03-15/2027-03-18
course mon-fri 9:15 => [course] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
course mon-fri 9-5 => [course] 2027-03-10T09:00/2027-03-10T17:00 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
course monday to friday at 8 => [course] 2027-03-10T08:00/2027-03-10T09:00 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR or=2027-03-09T20:00
painting 3-7 may at Gull Point => [painting] 2027-05-03/2027-05-08 place=Gull Point
painting 3-7 may tentative => [painting] 2027-05-03/2027-05-08 as=tentative
visit 14 and 15 april => [visit] 2027-04-14/2027-04-16
visit 14-15 april => [visit] 2027-04-14/2027-04-16
visit 30 march-1 april => [visit] 2027-03-30/2027-04-02
from 12 april to 16 april stock count => [stock count] 2027-04-12/2027-04-17
12-16 april stock count => [stock count] 2027-04-12/2027-04-17
mon-wed stock count => [stock count] 2027-03-15/2027-03-18
stock count 5 april - 9 april in Boat shed => [stock count] 2027-04-05/2027-04-10 place=Boat shed
rota week 5-11 april #KR => [rota week] 2027-04-05/2027-04-12 calendar=KR
holiday 24 dec - 1 jan => [holiday] 2027-12-24/2028-01-02
holiday 24 dec - 26 dec => [holiday] 2027-12-24/2027-12-27
stay 3-7 may for salma => [stay for salma] 2027-05-03/2027-05-08
leave from tomorrow to 15 march => [leave] 2027-03-10/2027-03-16
leave from 15 march => [leave] 2027-03-15/2027-03-16
leave starting 15 march => [leave] 2027-03-15/2027-03-16
leave starting monday for 3 days => [leave] 2027-03-15/2027-03-18
between 3 and 7 may works at tower => [works] 2027-05-03/2027-05-08 place=tower
grant window 1 april - 30 april => [grant window] 2027-04-01/2027-05-01
grant window 1 to 30 april 2027 => [grant window] 2027-04-01/2027-05-01
`;
