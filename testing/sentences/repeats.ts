/** Repeats, their ends and exceptions, as hurried people write them, each with the whole reading; today is Tuesday 9 March 2027, 10:20. */
export const REPEATS = `
works round every tue 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;BYDAY=TU
works round every tuesday at 9 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;BYDAY=TU
works round every week on tue 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;BYDAY=TU
works round weekly on tuesday 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;BYDAY=TU
works round tue 9:00 weekly => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;BYDAY=TU
works round tuesdays 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;BYDAY=TU
works round on tuesdays at 9 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;BYDAY=TU
works round each tuesday 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;BYDAY=TU
works round every other tue 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round every second tuesday 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round every 2nd tuesday 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round every 2 weeks on tue 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round every two weeks tue 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round every other week on tuesday 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round tue every other week 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round fortnightly on tue 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round biweekly tue 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round alternate tuesdays 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=TU
works round every 3 weeks on tue 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=3;BYDAY=TU
works round every third week tue 9:00 => [works round] 2027-03-16T09:00/2027-03-16T10:00 rule=FREQ=WEEKLY;INTERVAL=3;BYDAY=TU
works round every tue and thu 9:00 => [works round] 2027-03-11T09:00/2027-03-11T10:00 rule=FREQ=WEEKLY;BYDAY=TU,TH
works round every tue, thu 9:00 => [works round] 2027-03-11T09:00/2027-03-11T10:00 rule=FREQ=WEEKLY;BYDAY=TU,TH
works round tue and thu 9:00 => [works round] 2027-03-11T09:00/2027-03-11T10:00 rule=FREQ=WEEKLY;BYDAY=TU,TH
works round tue & thu at 9 => [works round] 2027-03-11T09:00/2027-03-11T10:00 rule=FREQ=WEEKLY;BYDAY=TU,TH
works round mon, wed and fri 9:00 => [works round] 2027-03-10T09:00/2027-03-10T10:00 rule=FREQ=WEEKLY;BYDAY=MO,WE,FR
works round mon/wed/fri 9:00 => [works round] 2027-03-10T09:00/2027-03-10T10:00 rule=FREQ=WEEKLY;BYDAY=MO,WE,FR
works round tuesdays and thursdays 9:00 => [works round] 2027-03-11T09:00/2027-03-11T10:00 rule=FREQ=WEEKLY;BYDAY=TU,TH
works round mon-fri 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
works round Mon to Fri 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
works round monday through friday 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
works round every mon-fri 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
works round weekdays 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
works round on weekdays at 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
works round every weekday 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
works round every working day 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
works round on workdays 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
works round every day 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=DAILY
works round daily 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=DAILY
works round daily at 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=DAILY
works round every other day 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=DAILY;INTERVAL=2
works round every 3 days 9:15 => [works round] 2027-03-10T09:15/2027-03-10T10:15 rule=FREQ=DAILY;INTERVAL=3
works round every morning => [works round] 2027-03-10T09:00/2027-03-10T10:00 rule=FREQ=DAILY
works round every morning at 8 => [works round] 2027-03-10T08:00/2027-03-10T09:00 rule=FREQ=DAILY
works round every evening => [works round] 2027-03-09T19:00/2027-03-09T20:00 rule=FREQ=DAILY
works round every evening at 7 => [works round] 2027-03-09T19:00/2027-03-09T20:00 rule=FREQ=DAILY
works round every monday morning => [works round] 2027-03-15T09:00/2027-03-15T10:00 rule=FREQ=WEEKLY;BYDAY=MO
works round every weekend 10:00 => [works round] 2027-03-13T10:00/2027-03-13T11:00 rule=FREQ=WEEKLY;BYDAY=SA,SU
works round weekends 10:00 => [works round] 2027-03-13T10:00/2027-03-13T11:00 rule=FREQ=WEEKLY;BYDAY=SA,SU
works round every month 9:00 => [works round] 2027-03-10T09:00/2027-03-10T10:00 rule=FREQ=MONTHLY
works round monthly 9:00 => [works round] 2027-03-10T09:00/2027-03-10T10:00 rule=FREQ=MONTHLY
rent on the 1st of every month => [rent] 2027-04-01/2027-04-02 rule=FREQ=MONTHLY
rent the 1st of each month => [rent] 2027-04-01/2027-04-02 rule=FREQ=MONTHLY
rent every month on the 1st => [rent] 2027-04-01/2027-04-02 rule=FREQ=MONTHLY
rent monthly on the 1st => [rent] 2027-04-01/2027-04-02 rule=FREQ=MONTHLY
rent on the 15th of every month => [rent] 2027-03-15/2027-03-16 rule=FREQ=MONTHLY
rent every 15th of the month => [rent] 2027-03-15/2027-03-16 rule=FREQ=MONTHLY
rent 1st and 15th => [rent] 2027-03-15/2027-03-16 rule=FREQ=MONTHLY;BYMONTHDAY=1,15
rent on the 1st and 15th => [rent] 2027-03-15/2027-03-16 rule=FREQ=MONTHLY;BYMONTHDAY=1,15
rent on the 1st and 15th of every month => [rent] 2027-03-15/2027-03-16 rule=FREQ=MONTHLY;BYMONTHDAY=1,15
rent every month on the 1st and 15th => [rent] 2027-03-15/2027-03-16 rule=FREQ=MONTHLY;BYMONTHDAY=1,15
rent every month on the last day => [rent] 2027-03-31/2027-04-01 rule=FREQ=MONTHLY;BYMONTHDAY=-1
rent on the last day of every month => [rent] 2027-03-31/2027-04-01 rule=FREQ=MONTHLY;BYMONTHDAY=-1
rent last day of the month => [rent] 2027-03-31/2027-04-01 rule=FREQ=MONTHLY;BYMONTHDAY=-1
rent last working day of the month => [rent] 2027-03-31/2027-04-01 rule=FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1
rent on the last working day of each month 15:00 => [rent] 2027-03-31T15:00/2027-03-31T16:00 rule=FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1
rent first working day of the month => [rent] 2027-04-01/2027-04-02 rule=FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=1
list last friday of the month => [list] 2027-03-26/2027-03-27 rule=FREQ=MONTHLY;BYDAY=-1FR
list on the last friday of every month 10:00 => [list] 2027-03-26T10:00/2027-03-26T11:00 rule=FREQ=MONTHLY;BYDAY=-1FR
list first monday of the month 10:00 => [list] 2027-04-05T10:00/2027-04-05T11:00 rule=FREQ=MONTHLY;BYDAY=1MO
list first monday of every month => [list] 2027-04-05/2027-04-06 rule=FREQ=MONTHLY;BYDAY=1MO
list every first monday 10:00 => [list] 2027-04-05T10:00/2027-04-05T11:00 rule=FREQ=MONTHLY;BYDAY=1MO
list every last friday 10:00 => [list] 2027-03-26T10:00/2027-03-26T11:00 rule=FREQ=MONTHLY;BYDAY=-1FR
list every month on the second tuesday 11:00 => [list] 2027-03-09T11:00/2027-03-09T12:00 rule=FREQ=MONTHLY;BYDAY=2TU
list monthly on the second tuesday 11:00 => [list] 2027-03-09T11:00/2027-03-09T12:00 rule=FREQ=MONTHLY;BYDAY=2TU
list second tuesday of every other month => [list] 2027-03-09/2027-03-10 rule=FREQ=MONTHLY;INTERVAL=2;BYDAY=2TU
list second tuesday of every third month 9:00 => [list] 2027-04-13T09:00/2027-04-13T10:00 rule=FREQ=MONTHLY;INTERVAL=3;BYDAY=2TU
list every 2 months => [list] 2027-03-09/2027-03-10 rule=FREQ=MONTHLY;INTERVAL=2
list every other month on the 5th => [list] 2027-04-05/2027-04-06 rule=FREQ=MONTHLY;INTERVAL=2
list every 3 months on the 15th => [list] 2027-03-15/2027-03-16 rule=FREQ=MONTHLY;INTERVAL=3
list every quarter on the first monday => [list] 2027-04-05/2027-04-06 rule=FREQ=MONTHLY;INTERVAL=3;BYDAY=1MO
list quarterly on the first monday 9:00 => [list] 2027-04-05T09:00/2027-04-05T10:00 rule=FREQ=MONTHLY;INTERVAL=3;BYDAY=1MO
list every quarter => [list] 2027-03-09/2027-03-10 rule=FREQ=MONTHLY;INTERVAL=3
list quarterly => [list] 2027-03-09/2027-03-10 rule=FREQ=MONTHLY;INTERVAL=3
list every 6 months => [list] 2027-03-09/2027-03-10 rule=FREQ=MONTHLY;INTERVAL=6
audit january and july => [audit] 2027-07-01/2027-07-02 rule=FREQ=YEARLY;BYMONTH=1,7;BYMONTHDAY=1
audit every january and july => [audit] 2027-07-01/2027-07-02 rule=FREQ=YEARLY;BYMONTH=1,7;BYMONTHDAY=1
audit every january => [audit] 2028-01-01/2028-01-02 rule=FREQ=YEARLY
audit in january and july => [audit] 2027-07-01/2027-07-02 rule=FREQ=YEARLY;BYMONTH=1,7;BYMONTHDAY=1
audit every march on the first monday => [audit] 2028-03-06/2028-03-07 rule=FREQ=YEARLY;BYMONTH=3;BYDAY=1MO
audit every last sunday of march 9:00 => [audit] 2027-03-28T09:00/2027-03-28T10:00 rule=FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU
audit every first monday in may => [audit] 2027-05-03/2027-05-04 rule=FREQ=YEARLY;BYMONTH=5;BYDAY=1MO
audit every year on 12 may => [audit] 2027-05-12/2027-05-13 rule=FREQ=YEARLY
audit every 12 may => [audit] 2027-05-12/2027-05-13 rule=FREQ=YEARLY
audit every may 12 => [audit] 2027-05-12/2027-05-13 rule=FREQ=YEARLY
audit yearly on 12 may => [audit] 2027-05-12/2027-05-13 rule=FREQ=YEARLY
audit annually on 12 may => [audit] 2027-05-12/2027-05-13 rule=FREQ=YEARLY
audit every year => [audit] 2027-03-09/2027-03-10 rule=FREQ=YEARLY
audit 12 may every year => [audit] 2027-05-12/2027-05-13 rule=FREQ=YEARLY
audit 1 march and 1 september every year => [audit] 2027-09-01/2027-09-02 rule=FREQ=YEARLY;BYMONTH=3,9;BYMONTHDAY=1
audit every 2 years => [audit] 2027-03-09/2027-03-10 rule=FREQ=YEARLY;INTERVAL=2
insurance every other year on 1 june => [insurance] 2027-06-01/2027-06-02 rule=FREQ=YEARLY;INTERVAL=2
yoga every tue 18:00 for 6 weeks => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270419;BYDAY=TU
yoga every tue 18:00 for six weeks => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270419;BYDAY=TU
yoga every tue for 6 weeks 18:00 => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270419;BYDAY=TU
yoga every tue 18:00 for 3 months => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270608;BYDAY=TU
yoga every tue 18:00 5 times => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;COUNT=5;BYDAY=TU
yoga every tue 18:00 x5 => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;COUNT=5;BYDAY=TU
yoga every tue 18:00, 10 times => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;COUNT=10;BYDAY=TU
yoga every tue 18:00 ten times => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;COUNT=10;BYDAY=TU
yoga every tue 18:00 until june => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270630;BYDAY=TU
yoga every tue 18:00 until end of june => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270630;BYDAY=TU
yoga every tue 18:00 until the end of june => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270630;BYDAY=TU
yoga every tue until 30 june 18:00 => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270630;BYDAY=TU
yoga every tue 18:00 until 30 june => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270630;BYDAY=TU
yoga every tue 18:00 till 30/6 => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270630;BYDAY=TU
yoga every tue 18:00 until 2028 => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20281231;BYDAY=TU
yoga every tue 18:00 until end of year => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20271231;BYDAY=TU
yoga every day 8:00 until friday => [yoga] 2027-03-10T08:00/2027-03-10T09:00 rule=FREQ=DAILY;UNTIL=20270312 or=2027-03-09T20:00
yoga every tue 18:00 through 30 june => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270630;BYDAY=TU
yoga daily 8:00 for 2 weeks => [yoga] 2027-03-10T08:00/2027-03-10T09:00 rule=FREQ=DAILY;UNTIL=20270323 or=2027-03-09T20:00
yoga daily 8:00 for 10 days => [yoga] 2027-03-10T08:00/2027-03-10T09:00 rule=FREQ=DAILY;UNTIL=20270319 or=2027-03-09T20:00
yoga every tue from 6 april 18:00 => [yoga] 2027-04-06T18:00/2027-04-06T19:00 rule=FREQ=WEEKLY;BYDAY=TU
yoga every tue from 6 april until 30 june 18:00 => [yoga] 2027-04-06T18:00/2027-04-06T19:00 rule=FREQ=WEEKLY;UNTIL=20270630;BYDAY=TU
yoga every tue starting 6 april 18:00 => [yoga] 2027-04-06T18:00/2027-04-06T19:00 rule=FREQ=WEEKLY;BYDAY=TU
yoga every day except fridays 8:00 => [yoga] 2027-03-10T08:00/2027-03-10T09:00 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,SA,SU or=2027-03-09T20:00
yoga every day except friday and sunday 8:00 => [yoga] 2027-03-10T08:00/2027-03-10T09:00 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,SA or=2027-03-09T20:00
yoga every day but sunday 8:00 => [yoga] 2027-03-10T08:00/2027-03-10T09:00 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR,SA or=2027-03-09T20:00
yoga every day 8:00 except on fridays => [yoga] 2027-03-10T08:00/2027-03-10T09:00 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,SA,SU or=2027-03-09T20:00
yoga weekdays except wed 8:00 => [yoga] 2027-03-11T08:00/2027-03-11T09:00 rule=FREQ=WEEKLY;BYDAY=MO,TU,TH,FR or=2027-03-09T20:00
yoga every tue 18:00 except 6 april => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;BYDAY=TU but=2027-04-06
yoga every tue 18:00 except 6 april and 13 april => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;BYDAY=TU but=2027-04-06,2027-04-13
yoga every tue 18:00 but not on 6 april => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;BYDAY=TU but=2027-04-06
yoga every month on the 1st except january => [yoga] 2027-04-01/2027-04-02 rule=FREQ=MONTHLY;BYMONTH=2,3,4,5,6,7,8,9,10,11,12
yoga first monday of the month except january 10:00 => [yoga] 2027-04-05T10:00/2027-04-05T11:00 rule=FREQ=MONTHLY;BYMONTH=2,3,4,5,6,7,8,9,10,11,12;BYDAY=1MO
yoga every tue 18:00 excluding april => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;BYMONTH=1,2,3,5,6,7,8,9,10,11,12;BYDAY=TU
yoga tuesdays 18:00 until 1 june except 6 april => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;UNTIL=20270601;BYDAY=TU but=2027-04-06
every tue 18:00 yoga => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;BYDAY=TU
every other tuesday 18:00 yoga until june => [yoga] 2027-03-09T18:00/2027-03-09T19:00 rule=FREQ=WEEKLY;INTERVAL=2;UNTIL=20270630;BYDAY=TU
weekdays at 9 for 15 minutes works round => [works round] 2027-03-10T09:00/2027-03-10T09:15 rule=FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR
daily tide log 8:00 => [daily tide log] 2027-03-10T08:00/2027-03-10T09:00 or=2027-03-09T20:00
weekly stock check fri 15:00 => [weekly stock check] 2027-03-12T15:00/2027-03-12T16:00
monthly report friday 10:00 => [monthly report] 2027-03-12T10:00/2027-03-12T11:00
quarterly claim 15 april => [quarterly claim] 2027-04-15/2027-04-16
yearly inspection 12 may 9:00 => [yearly inspection] 2027-05-12T09:00/2027-05-12T10:00
once a week stock check => [stock check] 2027-03-09/2027-03-10 rule=FREQ=WEEKLY;BYDAY=TU
once a month stock check => [stock check] 2027-03-09/2027-03-10 rule=FREQ=MONTHLY
stock check once a week on fri => [stock check] 2027-03-12/2027-03-13 rule=FREQ=WEEKLY;BYDAY=FR
keeper call every tue 14:00 45 min => [keeper call] 2027-03-09T14:00/2027-03-09T14:45 rule=FREQ=WEEKLY;BYDAY=TU
keeper call every tue 14:00-14:45 => [keeper call] 2027-03-09T14:00/2027-03-09T14:45 rule=FREQ=WEEKLY;BYDAY=TU
keeper call every tue 2-3pm in Chart room #ME => [keeper call] 2027-03-09T14:00/2027-03-09T15:00 rule=FREQ=WEEKLY;BYDAY=TU place=Chart room calendar=ME
keeper call every thur 9am until may => [keeper call] 2027-03-11T09:00/2027-03-11T10:00 rule=FREQ=WEEKLY;UNTIL=20270531;BYDAY=TH
keeper call evry tue 14:00 => [keeper call] 2027-03-09T14:00/2027-03-09T15:00 rule=FREQ=WEEKLY;BYDAY=TU
bins every wed => [bins] 2027-03-10/2027-03-11 rule=FREQ=WEEKLY;BYDAY=WE
bins every second wed => [bins] 2027-03-10/2027-03-11 rule=FREQ=WEEKLY;INTERVAL=2;BYDAY=WE
pay keepers every friday 16:00 => [pay keepers] 2027-03-12T16:00/2027-03-12T17:00 rule=FREQ=WEEKLY;BYDAY=FR
pay keepers last fri of month => [pay keepers] 2027-03-26/2027-03-27 rule=FREQ=MONTHLY;BYDAY=-1FR
`;
