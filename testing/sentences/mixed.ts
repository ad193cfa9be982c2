/** Sentences of all kinds, as hurried people write them, each with the whole reading; today is Tuesday 9 March 2027, 10:20. */
export const MIXED = `
Holiday 3-7 May => [Holiday] 2027-05-03/2027-05-08
from 3 May to 7 May holiday => [holiday] 2027-05-03/2027-05-08
3.-7. May holiday => [holiday] 2027-05-03/2027-05-08
Site week 5 July for two weeks => [Site week] 2027-07-05/2027-07-19
for two weeks from 5 July site works => [site works] 2027-07-05/2027-07-19
Thu 10am to noon budget => [budget] 2027-03-11T10:00/2027-03-11T12:00
lunch with Ines 12 to 1 => [lunch with Ines] 2027-03-09T12:00/2027-03-09T13:00
Ferry to Skerry Thu 23:00 to Fri 02:00 => [Ferry to Skerry] 2027-03-11T23:00/2027-03-12T02:00
Call Marek at half past eight => [Call Marek] 2027-03-10T08:30/2027-03-10T09:30 or=2027-03-09T20:30
Standup 8.30 => [Standup] 2027-03-10T08:30/2027-03-10T09:30 or=2027-03-09T20:30
Shift 1530 => [Shift] 2027-03-09T15:30/2027-03-09T16:30
Meeting 15h30 => [Meeting] 2027-03-09T15:30/2027-03-09T16:30
Coffee at nine => [Coffee] 2027-03-10T09:00/2027-03-10T10:00
Talk three pm => [Talk] 2027-03-09T15:00/2027-03-09T16:00
Team dinner Fri at 7 => [Team dinner] 2027-03-12T19:00/2027-03-12T20:00 or=2027-03-12T07:00
Order deadline 12/04 => [Order deadline] 2027-04-12/2027-04-13 or=2027-12-04
Meet day after tomorrow at 10 => [Meet] 2027-03-11T10:00/2027-03-11T11:00
Review Thursday week => [Review] 2027-03-18/2027-03-19
Review in two weeks on Thursday at 9 => [Review] 2027-03-25T09:00/2027-03-25T10:00
Tower check tomorrow week => [Tower check] 2027-03-17/2027-03-18
Invoice the 15th => [Invoice] 2027-03-15/2027-03-16
Audit in a fortnight => [Audit] 2027-03-23/2027-03-24
Meet Oona for half an hour tomorrow 10am => [Meet Oona] 2027-03-10T10:00/2027-03-10T10:30
Meeting tomorrow 14:00 two hours => [Meeting] 2027-03-10T14:00/2027-03-10T16:00
3 day workshop from Wed at Gull Point => [workshop] 2027-03-10/2027-03-13 place=Gull Point
Pay rent on the 1st of every month => [Pay rent] 2027-04-01/2027-04-02 rule=FREQ=MONTHLY
Board every quarter on the first Monday at 10 => [Board] 2027-04-05T10:00/2027-04-05T11:00 rule=FREQ=MONTHLY;INTERVAL=3;BYDAY=1MO
Payroll 1st and 15th => [Payroll] 2027-03-15/2027-03-16 rule=FREQ=MONTHLY;BYMONTHDAY=1,15
Standup Mon-Fri 9:15 => [Standup] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
Course every Tuesday 18:00 for 6 weeks => [Course] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270419;BYDAY=TU
Swim every Mon until 30 June 7:00 => [Swim] 2027-03-15T07:00/2027-03-15T08:00 rule=FREQ=WEEKLY;UNTIL=20270630;BYDAY=MO or=2027-03-15T19:00
Audit January and July => [Audit] 2027-07-01/2027-07-02 rule=FREQ=YEARLY;BYMONTH=1,7;BYMONTHDAY=1
Gym every day except Fridays 7am => [Gym] 2027-03-10T07:00/2027-03-10T08:00 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,SA,SU
Run every morning => [Run] 2027-03-10T09:00/2027-03-10T10:00 rule=FREQ=DAILY
Call 15:00 CET => [Call] 2027-03-09T15:00/2027-03-09T16:00 zone=Europe/Berlin
Call 3pm EST tomorrow => [Call] 2027-03-10T15:00/2027-03-10T16:00 zone=America/New_York
Call tomorrow GMT+2 15:00 => [Call] 2027-03-10T15:00/2027-03-10T16:00 zone=Etc/GMT-2
Call 15:00 Portugal => [Call] 2027-03-09T15:00/2027-03-09T16:00
Call with Salma 9am Halifax time => [Call with Salma] 2027-03-10T09:00/2027-03-10T10:00 zone=America/Halifax
Call 10:00 Toronto => [Call] 2027-03-10T10:00/2027-03-10T11:00 zone=America/Toronto
Call 10:00 Kenya => [Call] 2027-03-10T10:00/2027-03-10T11:00 zone=Africa/Nairobi
look at roof plans Friday => [look at roof plans] 2027-03-12/2027-03-13
log in to bank Monday 9:00 => [log in to bank] 2027-03-15T09:00/2027-03-15T10:00
Friday drinks Thu 18:00 => [Friday drinks] 2027-03-11T18:00/2027-03-11T19:00
Plan for Monday on Friday => [Plan for Monday] 2027-03-12/2027-03-13
Dentist Thu 15:00 private => [Dentist] 2027-03-11T15:00/2027-03-11T16:00 visible=private
Trip 3-5 May tentative => [Trip] 2027-05-03/2027-05-06 as=tentative
Focus time Wed 9-12 free => [Focus time] 2027-03-10T09:00/2027-03-10T12:00 as=free
Vacation 3-7 May away => [Vacation] 2027-05-03/2027-05-08 as=away
Meeting tomorrow 10:00 remind me 10 minutes before => [Meeting] 2027-03-10T10:00/2027-03-10T11:00 remind=10
Review doc https://docs.fennick.example/x Thu 10:00 => [Review doc] 2027-03-11T10:00/2027-03-11T11:00 link=https://docs.fennick.example/x
Meeting thursady 10:00 => [Meeting] 2027-03-11T10:00/2027-03-11T11:00
call on tuseday at 2pm => [call] 2027-03-09T14:00/2027-03-09T15:00
report by 5 Septmber => [report] 2027-09-05/2027-09-06
meet tmrw 3pm => [meet] 2027-03-10T15:00/2027-03-10T16:00
Dinner 7pm Friday with Oona at Harbour cafe => [Dinner with Oona] 2027-03-12T19:00/2027-03-12T20:00 place=Harbour cafe
Lunch Friday noon => [Lunch] 2027-03-12T12:00/2027-03-12T13:00
Flight to Oslo Mon 6:45 => [Flight to Oslo] 2027-03-15T06:45/2027-03-15T07:45 or=2027-03-15T18:45
Room 12 inspection Tue 11:00 => [Room 12 inspection] 2027-03-09T11:00/2027-03-09T12:00
Check 24 lamps Wed => [Check 24 lamps] 2027-03-10/2027-03-11
2 day conference from Thu => [conference] 2027-03-11/2027-03-13
conference Thursday and Friday => [conference] 2027-03-11/2027-03-13
Tobias visit 10-12 March => [Tobias visit] 2027-03-10/2027-03-13
Tobias visit March 10 - 12 => [Tobias visit] 2027-03-10/2027-03-13
Tobias visit 10/3-12/3 => [Tobias visit] 2027-03-10/2027-03-13 or=2027-10-03
Tobias visit 10 to 12 March in Boat shed => [Tobias visit] 2027-03-10/2027-03-13 place=Boat shed
Weekly sync Mondays 10-10:30 => [Weekly sync] 2027-03-15T10:00/2027-03-15T10:30 rule=FREQ=WEEKLY;BYDAY=MO
weekly sync every monday from 10 to 10:30 => [weekly sync] 2027-03-15T10:00/2027-03-15T10:30 rule=FREQ=WEEKLY;BYDAY=MO
sync every 2nd Monday 10:00 => [sync] 2027-03-15T10:00/2027-03-15T11:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=MO
sync on the second Monday of each month 10:00 => [sync] 2027-04-12T10:00/2027-04-12T11:00 rule=FREQ=MONTHLY;BYDAY=2MO
sync last Thursday of the month at 4pm => [sync] 2027-03-25T16:00/2027-03-25T17:00 rule=FREQ=MONTHLY;BYDAY=-1TH
Tax return every April 15 => [Tax return] 2027-04-15/2027-04-16 rule=FREQ=YEARLY
Salma's birthday 4 June every year => [Salma's birthday] 2027-06-04/2027-06-05 rule=FREQ=YEARLY
Payday every last working day => [Payday] 2027-03-31/2027-04-01 rule=FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1
Backup every Sunday night at 11 => [Backup] 2027-03-14T23:00/2027-03-15T00:00 rule=FREQ=WEEKLY;BYDAY=SU
Team lunch every other Friday at noon until end of June => [Team lunch] 2027-03-12T12:00/2027-03-12T13:00 rule=FREQ=WEEKLY;INTERVAL=2;UNTIL=20270630;BYDAY=FR
Ship's log daily at 6 for 10 days => [Ship's log] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=DAILY;UNTIL=20270318 or=2027-03-10T06:00
Meeting 10:00 - 11:00 tomorrow => [Meeting] 2027-03-10T10:00/2027-03-10T11:00
Meeting tomorrow from 10:00 till 11:00 => [Meeting] 2027-03-10T10:00/2027-03-10T11:00
meeting 10-11 tomorrow => [meeting] 2027-03-10T10:00/2027-03-10T11:00
10-11 meeting tomorrow => [meeting] 2027-03-10T10:00/2027-03-10T11:00
tomorrow 10-11 meeting => [meeting] 2027-03-10T10:00/2027-03-10T11:00
Meeting w/ Oona 3/4 10:00 => [Meeting w/ Oona] 2027-04-03T10:00/2027-04-03T11:00 or=2028-03-04T10:00
10:00 on 3 April => [] 2027-04-03T10:00/2027-04-03T11:00
Easter market 28-29 March => [Easter market] 2027-03-28/2027-03-30
exhibition until 20 March => [exhibition] 2027-03-09/2027-03-21
exhibition 10 March until 20 March => [exhibition] 2027-03-10/2027-03-21
call at 10 and 15 min => [call] 2027-03-10T10:00/2027-03-10T10:15
call 10:00 for 15 => [call] 2027-03-10T10:00/2027-03-10T10:15
next Tuesday 10:00 call => [call] 2027-03-16T10:00/2027-03-16T11:00
Tuesday next week 10:00 call => [call] 2027-03-16T10:00/2027-03-16T11:00
a week from Friday 10:00 call => [call] 2027-03-19T10:00/2027-03-19T11:00
first Monday of next month 10:00 board => [board] 2027-04-05T10:00/2027-04-05T11:00
end of month stock list => [stock list] 2027-03-31/2027-04-01
New Year's Eve party 31 Dec 20:00 => [New Year's Eve party] 2027-12-31T20:00/2027-12-31T21:00
Meeting 9 March => [Meeting] 2027-03-09/2027-03-10
Meeting 9 March 9:00 => [Meeting] 2027-03-09T09:00/2027-03-09T10:00
Meeting today 9:00 => [Meeting] 2027-03-09T09:00/2027-03-09T10:00
Meeting today 11:00 => [Meeting] 2027-03-09T11:00/2027-03-09T12:00
meeting this morning at 11 => [meeting] 2027-03-09T11:00/2027-03-09T12:00
meeting tonight 8 => [meeting] 2027-03-09T20:00/2027-03-09T21:00
meeting Wednesday evening => [meeting] 2027-03-10T19:00/2027-03-10T20:00
Wed lunch with Ines => [lunch with Ines] 2027-03-10/2027-03-11
Wed 12:30 lunch with Ines => [lunch with Ines] 2027-03-10T12:30/2027-03-10T13:30
lamp test 10pm-midnight Thu => [lamp test] 2027-03-11T22:00/2027-03-12T00:00
lamp test Thu 22:00-24:00 => [lamp test] 2027-03-11T22:00/2027-03-12T00:00
lamp test 23:30-0:30 Thu => [lamp test] 2027-03-11T23:30/2027-03-12T00:30
check buoy 7 Thu 10:00 => [check buoy 7] 2027-03-11T10:00/2027-03-11T11:00
check buoy 7 => [check buoy 7] 2027-03-09T10:30/2027-03-09T11:30
Call 555 0199 Thu 10:00 => [Call 555 0199] 2027-03-11T10:00/2027-03-11T11:00
Tower 4: paint Thu => [Tower 4: paint] 2027-03-11/2027-03-12
Meeting (in Chart room) Thu 10:00 => [Meeting] 2027-03-11T10:00/2027-03-11T11:00 place=Chart room
Meeting Thu 10:00, Chart room => [Meeting Chart room] 2027-03-11T10:00/2027-03-11T11:00
Meeting with Dev re: invoices Thu 10:00 => [Meeting with Dev re: invoices] 2027-03-11T10:00/2027-03-11T11:00
Q2 planning 12.04. 9:00-17:00 => [Q2 planning] 2027-04-12T09:00/2027-04-12T17:00
Q2 planning 12.4.27 9-17 => [Q2 planning] 2027-04-12T09:00/2027-04-12T17:00
planning 2027-04-12 09:00 => [planning] 2027-04-12T09:00/2027-04-12T10:00
planning 2027-04-12T09:00 => [planning] 2027-04-12T09:00/2027-04-12T10:00
20270412 planning => [20270412 planning] 2027-03-09T10:30/2027-03-09T11:30
planning 12 Apr 9.00-17.00 => [planning] 2027-04-12T09:00/2027-04-12T17:00
planning 12th => [planning] 2027-03-12/2027-03-13
planning on 12th at 9 => [planning] 2027-03-12T09:00/2027-03-12T10:00
planning at 9 on the 12th => [planning] 2027-03-12T09:00/2027-03-12T10:00
planning Apr 12 at 9 => [planning] 2027-04-12T09:00/2027-04-12T10:00
planning 9-5 Apr 12 => [planning] 2027-04-12T09:00/2027-04-12T17:00
planning Thu 9-5 => [planning] 2027-03-11T09:00/2027-03-11T17:00
planning 9 - 5pm Thu => [planning] 2027-03-11T09:00/2027-03-11T17:00
planning Thu morning => [planning] 2027-03-11T09:00/2027-03-11T10:00
planning Thu AM => [planning] 2027-03-11T09:00/2027-03-11T10:00
planning Thu pm => [planning] 2027-03-11T14:00/2027-03-11T15:00
planning at 9 for 90 minutes => [planning] 2027-03-10T09:00/2027-03-10T10:30
planning for 1.5 hours Thu 9 => [planning] 2027-03-11T09:00/2027-03-11T10:30
planning 0900 Thu => [planning] 2027-03-11T09:00/2027-03-11T10:00
planning at 0900 Thu => [planning] 2027-03-11T09:00/2027-03-11T10:00
planning 0900-1030 Thu => [planning] 2027-03-11T09:00/2027-03-11T10:30
planning nine to five Thu => [planning] 2027-03-11T09:00/2027-03-11T17:00
planning from nine till noon Thu => [planning] 2027-03-11T09:00/2027-03-11T12:00
planning quarter past nine Thu => [planning] 2027-03-11T09:15/2027-03-11T10:15
planning 25 past 9 Thu => [planning] 2027-03-11T09:25/2027-03-11T10:25
planning twenty five past nine Thu => [planning] 2027-03-11T09:25/2027-03-11T10:25
cancel planning Thu => [cancel planning] 2027-03-11/2027-03-12
every Thu planning 9:00 except 25 March and 1 April => [planning] 2027-03-11T09:00/2027-03-11T10:00 rule=FREQ=WEEKLY;BYDAY=TH but=2027-03-25,2027-04-01
every weekday at 8:30 except Wednesday standup => [standup] 2027-03-11T08:30/2027-03-11T09:30 rule=FREQ=WEEKLY;BYDAY=MO,TU,TH,FR or=2027-03-09T20:30
standup every weekday except in August 8:30 => [standup] 2027-03-10T08:30/2027-03-10T09:30 rule=FREQ=WEEKLY;BYMONTH=1,2,3,4,5,6,7,9,10,11,12;BYDAY=MO,TU,WE,TH,FR or=2027-03-09T20:30
walk every day from 1 May to 31 May 7:00 => [walk] 2027-05-01T07:00/2027-05-01T08:00 rule=FREQ=DAILY;UNTIL=20270531 or=2027-05-01T19:00
walk daily 1-31 May 7:00 => [walk] 2027-05-01T07:00/2027-05-01T08:00 rule=FREQ=DAILY;UNTIL=20270531 or=2027-05-01T19:00
`;
