-- The fields every house has. A house's own fields are further rows without a column.
insert into field_definition (kind, name, label, type, column_name, section, position, required, computed, most, relation) values
  ('person', 'title',           'Title',        'TEXT',     null,              'Details',   1, false, true,  40, null),
  ('person', 'first_name',      'First name',   'TEXT',     null,              'Details',   2, false, true,  80, null),
  ('person', 'last_name',       'Surname',      'TEXT',     null,              'Details',   3, true,  true,  120, null),
  ('person', 'full_name',       'Full name',    'TEXT',     null,              'Details',   4, false, true,  200, null),
  ('person', 'job_title',       'Job title',    'TEXT',     null,              'Details',   5, false, true,  80, null),
  ('person', 'company',         'Company',      'TEXT',     null,              'Details',   6, false, true,  160, null),
  ('person', 'email',           'E-mail',       'EMAIL',    null,              'Details',   7, false, true,  254, null),
  ('person', 'phone',           'Phone',        'PHONE',    null,              'Details',   8, false, true,  40, null),

  ('contact', 'title',          'Title',        'TEXT',     'title',           'Details',   1, false, false, 40, null),
  ('contact', 'first_name',     'First name',   'TEXT',     'first_name',      'Details',   2, false, false, 80, null),
  ('contact', 'last_name',      'Surname',      'TEXT',     'last_name',       'Details',   3, true,  false, 120, null),
  ('contact', 'full_name',      'Full name',    'TEXT',     null,              'Details',   4, false, true,  200, null),
  ('contact', 'job_title',      'Job title',    'TEXT',     'job_title',       'Details',   5, false, false, 80, null),
  ('contact', 'organisation',   'Organisation', 'RELATION', 'organisation_id', 'Details',   6, false, false, 36, 'organisation'),
  ('contact', 'email',          'E-mail',       'EMAIL',    null,              'Details',   7, false, true,  254, null),
  ('contact', 'phone',          'Phone',        'PHONE',    'phone',           'Details',   8, false, false, 40, null),
  ('contact', 'mobile',         'Mobile',       'PHONE',    'mobile',          'Details',   9, false, false, 40, null),
  ('contact', 'language',       'Language',     'CHOICE',   'language',        'Details',  10, false, false, 5, null),
  ('contact', 'time_zone',      'Time zone',    'CHOICE',   'time_zone',       'Details',  11, false, false, 60, null),
  ('contact', 'owner',          'Owner', 'RELATION', 'owner_id',     'Details',  12, false, false, 36, 'user'),

  ('lead', 'title',             'Title',        'TEXT',     'title',           'Details',   1, false, false, 40, null),
  ('lead', 'first_name',        'First name',   'TEXT',     'first_name',      'Details',   2, false, false, 80, null),
  ('lead', 'last_name',         'Surname',      'TEXT',     'last_name',       'Details',   3, true,  false, 120, null),
  ('lead', 'full_name',         'Full name',    'TEXT',     null,              'Details',   4, false, true,  200, null),
  ('lead', 'job_title',         'Job title',    'TEXT',     'job_title',       'Details',   5, false, false, 80, null),
  ('lead', 'company',           'Company',      'TEXT',     'company',         'Details',   6, false, false, 160, null),
  ('lead', 'email',             'E-mail',       'EMAIL',    null,              'Details',   7, false, true,  254, null),
  ('lead', 'phone',             'Phone',        'PHONE',    'phone',           'Details',   8, false, false, 40, null),
  ('lead', 'source',            'Came from',    'CHOICE',   'source',          'Details',   9, false, false, 40, null),
  ('lead', 'state',             'State',        'CHOICE',   'state',           'Details',  10, true,  false, 20, null),
  ('lead', 'language',          'Language',     'CHOICE',   'language',        'Details',  11, false, false, 5, null),
  ('lead', 'time_zone',         'Time zone',    'CHOICE',   'time_zone',       'Details',  12, false, false, 60, null),
  ('lead', 'owner',             'Owner', 'RELATION', 'owner_id',     'Details',  13, false, false, 36, 'user'),

  ('deal', 'name',              'Deal name',         'TEXT',     'name',            'Details',   1, true,  false, 160, null),
  ('deal', 'organisation',      'Organisation', 'RELATION', 'organisation_id', 'Details',   2, false, false, 36, 'organisation'),
  ('deal', 'stage',             'Stage',        'CHOICE',   'stage',           'Details',   3, true,  false, 20, null),
  ('deal', 'value',             'Value',        'MONEY',    'amount',          'Details',   4, false, false, 24, null),
  ('deal', 'closes_on',         'Decision by',  'DATE',     'closes_on',       'Details',   5, false, false, 10, null),
  ('deal', 'owner',             'Owner', 'RELATION', 'owner_id',     'Details',   6, false, false, 36, 'user'),

  ('organisation', 'name',      'Organisation name',         'TEXT',     'name',            'Details',   1, true,  false, 160, null),
  ('organisation', 'phone',     'Phone',        'PHONE',    'phone',           'Details',   2, false, false, 40, null),
  ('organisation', 'website',   'Website',      'LINK',     'website',         'Details',   3, false, false, 200, null),
  ('organisation', 'street',    'Street',       'TEXT',     'street',          'Details',   4, false, false, 120, null),
  ('organisation', 'postcode',  'Postcode',     'TEXT',     'postcode',        'Details',   5, false, false, 20, null),
  ('organisation', 'town',      'Town',         'TEXT',     'town',            'Details',   6, false, false, 80, null),
  ('organisation', 'country',   'Country',      'CHOICE',   'country',         'Details',   7, false, false, 2, null),
  ('organisation', 'owner',     'Owner', 'RELATION', 'owner_id',     'Details',   8, false, false, 36, 'user'),

  ('user', 'first_name',        'First name',   'TEXT',      null,             'Details',   1, true,  true,  80, null),
  ('user', 'last_name',         'Surname',      'TEXT',      null,             'Details',   2, true,  true,  80, null),
  ('user', 'full_name',         'Full name',    'TEXT',      null,             'Details',   3, true,  true,  160, null),
  ('user', 'job_title',         'Job title',    'TEXT',      null,             'Details',   4, false, true,  80, null),
  ('user', 'email',             'E-mail',       'EMAIL',     null,             'Details',   5, true,  true,  254, null),
  ('user', 'phone',             'Phone',        'PHONE',     null,             'Details',   6, false, true,  40, null),
  ('user', 'signature',         'Signature',    'LONG_TEXT', null,             'Details',   7, false, true,  1000, null),

  ('our',   'name',             'Company name',   'TEXT',      null,             'Details',   1, true,  true,  120, null),
  ('our',   'phone',            'Company phone',  'PHONE',     null,             'Details',   2, false, true,  40, null),
  ('our',   'website',          'Company website', 'LINK',     null,             'Details',   3, false, true,  200, null),
  ('our',   'street',           'Company street', 'TEXT',      null,             'Details',   4, false, true,  120, null),
  ('our',   'postcode',         'Company postcode', 'TEXT',    null,             'Details',   5, false, true,  20, null),
  ('our',   'town',             'Company town',   'TEXT',      null,             'Details',   6, false, true,  80, null);

insert into field_choice (kind, field_name, code, label, position) values
  ('lead', 'source', 'web', 'Web form', 1), ('lead', 'source', 'recommended', 'Recommended', 2),
  ('lead', 'source', 'event', 'Event', 3), ('lead', 'source', 'other', 'Other', 4),
  ('lead', 'state', 'new', 'new', 1), ('lead', 'state', 'talking', 'talking', 2), ('lead', 'state', 'promising', 'promising', 3), ('lead', 'state', 'dropped', 'dropped', 4);

insert into field_choice (kind, field_name, code, label, position, outcome) values
  ('deal', 'stage', 'new', 'new', 1, 'OPEN'), ('deal', 'stage', 'talking', 'talking', 2, 'OPEN'),
  ('deal', 'stage', 'quoted', 'quoted', 3, 'OPEN'), ('deal', 'stage', 'won', 'won', 4, 'WON'), ('deal', 'stage', 'lost', 'lost', 5, 'LOST');

insert into field_definition (kind, name, label, type, column_name, section, position, required, computed, most, relation) values
  ('contact', 'formality',      'Addressed',    'CHOICE',    'formality',     'Details', 13, false, false, 20, null),
  ('lead',    'formality',      'Addressed',    'CHOICE',    'formality',     'Details', 14, false, false, 20, null),
  ('lead',    'country',        'Country',      'CHOICE',    'country',       'Details', 15, false, false, 2, null),
  ('person',  'greeting',       'Greeting',   'TEXT',      null,            'Details',  0, false, true,  300, null),

  ('document', 'name',          'Document',     'TEXT',      'name',          'Details',  1, true,  true,  160, null),
  ('document', 'link',          'Document link', 'LINK',     'link',          'Details',  2, false, true,  400, null),
  ('document', 'state',         'Document state', 'CHOICE',  'state',         'Details',  3, true,  true,  20, null),
  ('document', 'state_on',      'Document since', 'DATE',    'state_on',      'Details',  4, true,  true,  10, null),

  ('history', 'last_written',   'Last written to', 'DATE_TIME', null,          'Details',  1, false, true,  40, null),
  ('history', 'times_written',  'Times written to', 'NUMBER', null,           'Details',  2, false, true,  10, null),
  ('history', 'last_reply',     'Last reply',  'DATE_TIME', null,            'Details',  3, false, true,  40, null),
  ('history', 'replied',        'Has replied', 'YES_NO',    null,            'Details',  4, false, true,  3, null),
  ('history', 'last_called',    'Last call',    'DATE_TIME', null,            'Details',  5, false, true,  40, null);

insert into field_choice (kind, field_name, code, label, position) values
  ('contact', 'formality', 'formal', 'formally', 1), ('contact', 'formality', 'familiar', 'by first name', 2),
  ('lead', 'formality', 'formal', 'formally', 1), ('lead', 'formality', 'familiar', 'by first name', 2),
  ('document', 'state', 'DRAFT', 'draft', 1), ('document', 'state', 'SENT', 'sent', 2),
  ('document', 'state', 'SIGNED', 'signed', 3), ('document', 'state', 'WITHDRAWN', 'withdrawn', 4);
insert into field_definition (kind, name, label, type, column_name, section, position, required, computed, most, relation) values
  ('contact', 'counting',        'Opens and clicks', 'CHOICE',    'counting', 'Details', 14, false, false, 20, null),
  ('lead',    'counting',        'Opens and clicks', 'CHOICE',    'counting', 'Details', 16, false, false, 20, null),

  ('contact', 'permission',      'Permission',       'TEXT',   'permission',    'Details', 15, false, false, 200, null),
  ('contact', 'permission_on',   'Permission since',    'DATE',   'permission_on', 'Details', 16, false, false, 10, null),
  ('lead',    'permission',      'Permission',       'TEXT',   'permission',    'Details', 17, false, false, 200, null),
  ('lead',    'permission_on',   'Permission since',    'DATE',   'permission_on', 'Details', 18, false, false, 10, null),

  ('history', 'opened',          'Has opened',      'YES_NO',    null,       'Details',  6, false, true,  3, null),
  ('history', 'last_opened',     'Last opened',     'DATE_TIME', null,       'Details',  7, false, true,  40, null),
  ('history', 'clicked',         'Has clicked',     'YES_NO',    null,       'Details',  8, false, true,  3, null),
  ('history', 'last_clicked',    'Last click',      'DATE_TIME', null,       'Details',  9, false, true,  40, null),
  ('history', 'clicked_link',    'Link last clicked', 'LINK',    null,       'Details', 10, false, true,  4000, null),
  ('history', 'unsubscribed',    'Unsubscribed', 'YES_NO',    null,       'Details', 11, false, true,  3, null),

  ('message', 'sent_date',       'Day of sending',  'DATE',      null,       'Details',  1, true,  true,  10, null),
  ('message', 'unsubscribe_link', 'Unsubscribe link', 'LINK',   null,       'Details',  2, false, true,  400, null),
  ('message', 'web_copy_link',   'Web copy link',   'LINK',      null,       'Details',  3, false, true,  400, null),
  ('message', 'share_link',      'Link to share it', 'LINK',     null,       'Details',  4, false, true,  400, null),
  ('message', 'why_you_get_this', 'Why you get this', 'TEXT',    null,       'Details',  5, false, true,  400, null);
insert into field_choice (kind, field_name, code, label, position) values
  ('contact', 'counting', 'counted', 'may be counted', 1), ('contact', 'counting', 'not_counted', 'never counted', 2),
  ('lead', 'counting', 'counted', 'may be counted', 1), ('lead', 'counting', 'not_counted', 'never counted', 2);
