-- The shape of the database after all migrations, to read in review; never run.

CREATE SCHEMA public;

COMMENT ON SCHEMA public IS 'standard public schema';

CREATE FUNCTION public.as_json(text) RETURNS jsonb
    LANGUAGE plpgsql IMMUTABLE STRICT
    AS $_$
begin
  return $1::jsonb;
exception when others then
  return regexp_replace($1, '\\u(0000|[dD][89a-fA-F][0-9a-fA-F]{2})', '', 'g')::jsonb;
end $_$;

CREATE FUNCTION public.choose_notice() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
declare
  chosen notice_choice;
begin
  select * into chosen from notice_choice c where c.account_id = new.account_id and c.kind = new.kind;
  new.here := new.kind = 'account' or coalesce(chosen.here, true);
  new.by_mail := coalesce(chosen.by_mail, true)
    and exists (select from account a where a.id = new.account_id and a.email is not null and a.email_proven_at is not null);
  if not new.here and not new.by_mail then
    return null;
  end if;
  return new;
end $$;

CREATE FUNCTION public.due_for(assignment_id text, account_id text) RETURNS timestamp with time zone
    LANGUAGE sql STABLE
    AS $_$
  select greatest(a.due_at, (select x.due_at from extension x where x.assignment_id = a.id and x.account_id = $2))
  from assignment a where a.id = $1
$_$;

CREATE FUNCTION public.due_of_group(group_id text) RETURNS timestamp with time zone
    LANGUAGE sql STABLE
    AS $_$
  select greatest(a.due_at, (
    select max(x.due_at) from extension x join group_member m on m.account_id = x.account_id and m.assignment_id = x.assignment_id
    where m.group_id = g.id and x.assignment_id = a.id))
  from group_work g join assignment a on a.id = g.assignment_id where g.id = $1
$_$;

CREATE FUNCTION public.of_school(school text, account text) RETURNS boolean
    LANGUAGE sql STABLE
    AS $$
  select exists (select from organisation_member m where m.organisation_id = school and m.account_id = account)
    or exists (
      select from class c where c.organisation_id = school and c.closed_at is null and c.archived_at is null
        and (watches(c.id, account) or exists (select from class_member m where m.class_id = c.id and m.account_id = account)))
$$;

CREATE FUNCTION public.reach(visibility text) RETURNS integer
    LANGUAGE sql IMMUTABLE
    AS $$
  select array_position(array['only_me', 'class', 'school', 'password', 'link', 'everybody'], visibility)
$$;

CREATE FUNCTION public.refuse_alteration() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
begin
  if tg_op = 'DELETE' and current_setting('fastigo.purge', true) = 'on' then
    return old;
  end if;
  raise exception 'a frozen version is never altered';
end $$;

CREATE FUNCTION public.refuse_submission_alteration() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
begin
  if tg_op = 'DELETE' then
    if current_setting('fastigo.purge', true) = 'on' then
      return old;
    end if;
    raise exception 'a submission is never altered';
  end if;
  if new.content <> old.content or new.hash <> old.hash or new.version_id <> old.version_id
    or new.submitted_at <> old.submitted_at or new.due_at <> old.due_at then
    raise exception 'a submission is never altered';
  end if;
  return new;
end $$;

CREATE FUNCTION public.sees_works(assignment text, account text) RETURNS boolean
    LANGUAGE sql STABLE
    AS $_$
  select exists (
    select from assignment a join class_member m on m.class_id = a.class_id and m.account_id = $2
    left join group_member g on g.assignment_id = a.id and g.account_id = $2
    where a.id = $1 and (
      (a.works_shown = 'handed_in' and exists (select from current_submission s where s.group_id = g.group_id))
      or (a.works_shown = 'due' and now() > greatest(due_for(a.id, $2), due_of_group(g.group_id)))))
$_$;

CREATE FUNCTION public.teaches(class_id text, account_id text) RETURNS boolean
    LANGUAGE sql STABLE
    AS $_$
  select exists (select from class_teacher t where t.class_id = $1 and t.account_id = $2 and t.role <> 'assistant')
$_$;

CREATE FUNCTION public.watches(class_id text, account_id text) RETURNS boolean
    LANGUAGE sql STABLE
    AS $_$
  select exists (select from class_teacher t where t.class_id = $1 and t.account_id = $2)
$_$;

CREATE TABLE public.account (
    id text NOT NULL,
    display_name text NOT NULL,
    email text,
    sign_in_name text,
    password_hash text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    made_in_class text,
    deleted_at timestamp with time zone,
    demo boolean DEFAULT false NOT NULL,
    ledger_columns jsonb,
    operator boolean DEFAULT false NOT NULL,
    delete_at timestamp with time zone,
    email_proven_at timestamp with time zone,
    step_secret text,
    step_wanted text,
    step_last bigint DEFAULT 0 NOT NULL,
    digest_at timestamp with time zone,
    language text,
    CONSTRAINT account_display_name_length CHECK (((length(display_name) >= 1) AND (length(display_name) <= 60))),
    CONSTRAINT account_has_a_way_in CHECK (((email IS NOT NULL) OR (sign_in_name IS NOT NULL) OR (deleted_at IS NOT NULL))),
    CONSTRAINT account_language_known CHECK ((language = ANY (ARRAY['en'::text, 'de'::text, 'es'::text])))
);

CREATE TABLE public.account_notice (
    id bigint NOT NULL,
    account_id text NOT NULL,
    text text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    kind text DEFAULT 'account'::text NOT NULL,
    here boolean DEFAULT true NOT NULL,
    by_mail boolean DEFAULT false NOT NULL,
    CONSTRAINT account_notice_kind_known CHECK ((kind = ANY (ARRAY['account'::text, 'named'::text, 'suggestion'::text, 'class'::text, 'school'::text])))
);

ALTER TABLE public.account_notice ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.account_notice_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);

CREATE TABLE public.address_check (
    address text NOT NULL,
    state text NOT NULL,
    status integer,
    checked_at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT address_check_state_known CHECK ((state = ANY (ARRAY['answers'::text, 'gone'::text, 'refuses'::text, 'silent'::text, 'private'::text])))
);

CREATE TABLE public.assignment (
    id text NOT NULL,
    class_id text NOT NULL,
    title text NOT NULL,
    period jsonb NOT NULL,
    requirements jsonb NOT NULL,
    total integer NOT NULL,
    due_at timestamp with time zone NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    late_rule text DEFAULT 'accepted'::text NOT NULL,
    "grouping" text DEFAULT 'pupils'::text NOT NULL,
    blind boolean DEFAULT false NOT NULL,
    rubric jsonb,
    texts jsonb DEFAULT '[]'::jsonb NOT NULL,
    model text,
    model_shown text DEFAULT 'never'::text NOT NULL,
    return_at timestamp with time zone,
    instructions jsonb DEFAULT '[]'::jsonb NOT NULL,
    works_shown text DEFAULT 'chosen'::text NOT NULL,
    CONSTRAINT assignment_grouping_known CHECK (("grouping" = ANY (ARRAY['pupils'::text, 'single'::text, 'teacher'::text]))),
    CONSTRAINT assignment_late_rule_known CHECK ((late_rule = ANY (ARRAY['accepted'::text, 'refused'::text]))),
    CONSTRAINT assignment_model_shown_known CHECK ((model_shown = ANY (ARRAY['never'::text, 'before'::text, 'after'::text]))),
    CONSTRAINT assignment_title_length CHECK (((length(title) >= 1) AND (length(title) <= 200))),
    CONSTRAINT assignment_total_positive CHECK (((total >= 1) AND (total <= 1000))),
    CONSTRAINT assignment_works_shown_known CHECK ((works_shown = ANY (ARRAY['chosen'::text, 'handed_in'::text, 'due'::text])))
);

CREATE TABLE public.assignment_picture (
    assignment_id text NOT NULL,
    id text NOT NULL,
    text text NOT NULL,
    bytes bytea NOT NULL,
    width integer NOT NULL,
    height integer NOT NULL
);

CREATE TABLE public.blob (
    hash text NOT NULL,
    size bigint NOT NULL,
    type text NOT NULL,
    store text DEFAULT 'database'::text NOT NULL,
    CONSTRAINT blob_store_known CHECK ((store = ANY (ARRAY['database'::text, 's3'::text])))
);

CREATE TABLE public.blob_loose (
    hash text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.blob_piece (
    hash text NOT NULL,
    n integer NOT NULL,
    bytes bytea NOT NULL
);

CREATE TABLE public.call_for_events (
    timeline_id text NOT NULL,
    token text NOT NULL,
    words text DEFAULT ''::text NOT NULL,
    closes_at timestamp with time zone,
    opened_at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.category (
    timeline_id text NOT NULL,
    id text NOT NULL,
    name text NOT NULL,
    colour text NOT NULL,
    pattern text NOT NULL,
    place text NOT NULL,
    deleted boolean DEFAULT false NOT NULL,
    purged boolean DEFAULT false NOT NULL,
    deleted_at timestamp with time zone,
    loudness integer DEFAULT 0 NOT NULL
);

CREATE TABLE public.change (
    timeline_id text NOT NULL,
    seq integer NOT NULL,
    id text NOT NULL,
    author_id text NOT NULL,
    base integer NOT NULL,
    ops jsonb NOT NULL,
    was jsonb NOT NULL,
    digest bytea NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.check_result (
    timeline_id text NOT NULL,
    seq integer NOT NULL,
    requirements jsonb NOT NULL,
    checks jsonb NOT NULL
);

CREATE TABLE public.class (
    id text NOT NULL,
    name text NOT NULL,
    join_code text,
    publish_limit text DEFAULT 'link'::text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    retention_months integer DEFAULT 24 NOT NULL,
    closed_at timestamp with time zone,
    zone text DEFAULT 'UTC'::text NOT NULL,
    organisation_id text,
    outside_players boolean DEFAULT true NOT NULL,
    recording boolean DEFAULT true NOT NULL,
    notice text DEFAULT ''::text NOT NULL,
    archived_at timestamp with time zone,
    follows text,
    bylines text DEFAULT 'no_names'::text NOT NULL,
    from_archive_at timestamp with time zone,
    CONSTRAINT class_bylines_known CHECK ((bylines = ANY (ARRAY['free'::text, 'no_names'::text]))),
    CONSTRAINT class_name_length CHECK (((length(name) >= 1) AND (length(name) <= 80))),
    CONSTRAINT class_notice_length CHECK ((length(notice) <= 5000)),
    CONSTRAINT class_publish_limit_known CHECK ((publish_limit = ANY (ARRAY['only_me'::text, 'class'::text, 'school'::text, 'link'::text, 'everybody'::text]))),
    CONSTRAINT class_retention_months CHECK (((retention_months >= 1) AND (retention_months <= 120)))
);

CREATE TABLE public.class_member (
    class_id text NOT NULL,
    account_id text NOT NULL,
    joined_at timestamp with time zone DEFAULT now() NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    roster_id text DEFAULT ''::text NOT NULL,
    CONSTRAINT class_member_note_short CHECK ((length(note) <= 40))
);

CREATE TABLE public.class_teacher (
    class_id text NOT NULL,
    account_id text NOT NULL,
    joined_at timestamp with time zone DEFAULT now() NOT NULL,
    role text DEFAULT 'teacher'::text NOT NULL,
    CONSTRAINT class_teacher_role_known CHECK ((role = ANY (ARRAY['lead'::text, 'teacher'::text, 'assistant'::text])))
);

CREATE TABLE public.close_passage (
    assignment_id text NOT NULL,
    timeline_id text NOT NULL,
    event_id text NOT NULL,
    passage text NOT NULL,
    words integer NOT NULL,
    kind text NOT NULL,
    other_timeline text,
    other_event text DEFAULT ''::text NOT NULL,
    other text NOT NULL,
    CONSTRAINT close_passage_kind_known CHECK ((kind = ANY (ARRAY['classmate'::text, 'text'::text, 'quote'::text])))
);

CREATE TABLE public.close_wording (
    assignment_id text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.comment (
    id text NOT NULL,
    timeline_id text NOT NULL,
    event_id text DEFAULT ''::text NOT NULL,
    words text DEFAULT ''::text NOT NULL,
    thread text,
    account_id text NOT NULL,
    text text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    altered_at timestamp with time zone,
    resolved_at timestamp with time zone,
    resolved_by text,
    field text DEFAULT ''::text NOT NULL,
    CONSTRAINT comment_field_known CHECK ((field = ANY (ARRAY[''::text, 'when'::text, 'title'::text, 'category'::text, 'place'::text, 'description'::text, 'media'::text, 'source'::text]))),
    CONSTRAINT comment_not_empty CHECK ((text <> ''::text))
);

CREATE TABLE public.comment_seen (
    timeline_id text NOT NULL,
    account_id text NOT NULL,
    at timestamp with time zone NOT NULL
);

CREATE TABLE public.submission (
    id text NOT NULL,
    group_id text NOT NULL,
    version_id text NOT NULL,
    submitted_by text NOT NULL,
    submitted_at timestamp with time zone DEFAULT now() NOT NULL,
    due_at timestamp with time zone NOT NULL,
    content text NOT NULL,
    hash text NOT NULL,
    taken_back_at timestamp with time zone,
    members text[] DEFAULT '{}'::text[] NOT NULL,
    replaced_by text
);

CREATE VIEW public.current_submission AS
 SELECT submission.id,
    submission.group_id,
    submission.version_id,
    submission.submitted_by,
    submission.submitted_at,
    submission.due_at,
    submission.content,
    submission.hash,
    submission.taken_back_at,
    submission.members,
    submission.replaced_by
   FROM public.submission
  WHERE ((submission.taken_back_at IS NULL) AND (submission.replaced_by IS NULL));

CREATE TABLE public.editor (
    timeline_id text NOT NULL,
    account_id text NOT NULL,
    role text NOT NULL,
    joined_at timestamp with time zone DEFAULT now() NOT NULL,
    folder text DEFAULT ''::text NOT NULL,
    seen integer DEFAULT 0 NOT NULL,
    CONSTRAINT editor_role_known CHECK ((role = ANY (ARRAY['owner'::text, 'editor'::text])))
);

CREATE TABLE public.event (
    timeline_id text NOT NULL,
    id text NOT NULL,
    title text NOT NULL,
    short_title text NOT NULL,
    "when" jsonb NOT NULL,
    category text,
    part_of text,
    emphasis boolean NOT NULL,
    by_hand text NOT NULL,
    description bytea DEFAULT '\x'::bytea NOT NULL,
    deleted boolean DEFAULT false NOT NULL,
    given text,
    locked boolean DEFAULT false NOT NULL,
    sign text DEFAULT ''::text NOT NULL,
    spot jsonb,
    close_up text DEFAULT ''::text NOT NULL,
    done smallint,
    purged boolean DEFAULT false NOT NULL,
    deleted_at timestamp with time zone,
    loudness integer DEFAULT 0 NOT NULL,
    place text DEFAULT ''::text NOT NULL,
    tags jsonb DEFAULT '[]'::jsonb NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    chapter boolean DEFAULT false NOT NULL,
    origin text DEFAULT ''::text NOT NULL,
    point jsonb,
    on_map jsonb,
    picture_bob boolean DEFAULT false NOT NULL,
    colour text DEFAULT ''::text NOT NULL,
    line_weight integer DEFAULT 0 NOT NULL,
    label_says jsonb,
    author_id text,
    CONSTRAINT event_close_up_known CHECK ((close_up = ANY (ARRAY[''::text, 'open'::text, 'closed'::text]))),
    CONSTRAINT event_done_percent CHECK (((done >= 0) AND (done <= 100))),
    CONSTRAINT event_loudness CHECK (((loudness >= '-1'::integer) AND (loudness <= 1))),
    CONSTRAINT event_sign_short CHECK ((length(sign) <= 20)),
    CONSTRAINT event_title_length CHECK ((length(title) <= 300))
);

CREATE TABLE public.event_comment (
    submission_id text NOT NULL,
    event_id text NOT NULL,
    text text NOT NULL
);

CREATE TABLE public.extension (
    assignment_id text NOT NULL,
    account_id text NOT NULL,
    due_at timestamp with time zone NOT NULL
);

CREATE TABLE public.frozen_copy (
    address text NOT NULL,
    timeline_id text NOT NULL,
    version_id text NOT NULL,
    created_by text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    closed_at timestamp with time zone
);

CREATE TABLE public.gallery (
    assignment_id text NOT NULL,
    submission_id text NOT NULL,
    place integer NOT NULL
);

CREATE TABLE public.given_event (
    id text NOT NULL,
    assignment_id text NOT NULL,
    place integer NOT NULL,
    title text NOT NULL,
    right_when jsonb NOT NULL,
    locked boolean NOT NULL
);

CREATE TABLE public.given_mark (
    submission_id text NOT NULL,
    n integer NOT NULL,
    result text NOT NULL,
    reason text NOT NULL,
    CONSTRAINT given_mark_reason_given CHECK (((length(reason) >= 1) AND (length(reason) <= 500))),
    CONSTRAINT given_mark_result_known CHECK ((result = ANY (ARRAY['right'::text, 'less_exact'::text, 'wrong'::text, 'no_date'::text])))
);

CREATE TABLE public.group_member (
    assignment_id text NOT NULL,
    account_id text NOT NULL,
    group_id text NOT NULL
);

CREATE TABLE public.group_work (
    id text NOT NULL,
    assignment_id text NOT NULL,
    timeline_id text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.guest (
    timeline_id text NOT NULL,
    account_id text NOT NULL,
    role text NOT NULL,
    joined_at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT guest_role_known CHECK ((role = ANY (ARRAY['reader'::text, 'commenter'::text, 'adder'::text])))
);

CREATE TABLE public.invitation (
    token text NOT NULL,
    timeline_id text NOT NULL,
    role text NOT NULL,
    email text,
    account_id text,
    invited_by text NOT NULL,
    made_at timestamp with time zone DEFAULT now() NOT NULL,
    ends_at timestamp with time zone,
    CONSTRAINT invitation_role_known CHECK ((role = ANY (ARRAY['reader'::text, 'commenter'::text, 'adder'::text, 'editor'::text])))
);

CREATE TABLE public.item (
    timeline_id text NOT NULL,
    id text NOT NULL,
    of text NOT NULL,
    list text NOT NULL,
    place text NOT NULL,
    media text,
    kind text,
    width integer,
    height integer,
    text text NOT NULL,
    credit text NOT NULL,
    licence text NOT NULL,
    address text NOT NULL,
    found_on text NOT NULL,
    deleted boolean DEFAULT false NOT NULL,
    purged boolean DEFAULT false NOT NULL,
    deleted_at timestamp with time zone,
    caption text DEFAULT ''::text NOT NULL,
    focus jsonb,
    source text,
    page text DEFAULT ''::text NOT NULL,
    quote text DEFAULT ''::text NOT NULL,
    cut jsonb,
    moving boolean DEFAULT false NOT NULL,
    start_at double precision,
    end_at double precision,
    length double precision,
    voice boolean DEFAULT false NOT NULL,
    spoken text DEFAULT ''::text NOT NULL,
    subtitles text DEFAULT ''::text NOT NULL,
    player text DEFAULT ''::text NOT NULL,
    tones jsonb,
    CONSTRAINT item_list_known CHECK ((list = ANY (ARRAY['media'::text, 'source'::text, 'link'::text, 'map'::text, 'back'::text])))
);

CREATE TABLE public.job (
    id bigint NOT NULL,
    kind text NOT NULL,
    about text NOT NULL,
    input jsonb NOT NULL,
    state text DEFAULT 'waiting'::text NOT NULL,
    done integer DEFAULT 0 NOT NULL,
    total integer,
    failed text,
    asked_by text,
    asked_at timestamp with time zone DEFAULT now() NOT NULL,
    begun_at timestamp with time zone,
    ended_at timestamp with time zone,
    stop boolean DEFAULT false NOT NULL,
    CONSTRAINT job_state_known CHECK ((state = ANY (ARRAY['waiting'::text, 'running'::text, 'done'::text, 'failed'::text, 'stopped'::text])))
);

ALTER TABLE public.job ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.job_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);

CREATE TABLE public.job_runner (
    id integer NOT NULL,
    workers text[] DEFAULT '{}'::text[] NOT NULL,
    begun_at timestamp with time zone DEFAULT now() NOT NULL
);

ALTER TABLE public.job_runner ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.job_runner_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);

CREATE TABLE public.kept_comment (
    id bigint NOT NULL,
    account_id text NOT NULL,
    text text NOT NULL,
    used integer DEFAULT 0 NOT NULL,
    CONSTRAINT kept_comment_length CHECK (((length(text) >= 1) AND (length(text) <= 1000)))
);

ALTER TABLE public.kept_comment ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.kept_comment_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);

CREATE TABLE public.known_browser (
    token_hash bytea NOT NULL,
    account_id text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.lti_account (
    platform text NOT NULL,
    subject text NOT NULL,
    account_id text NOT NULL
);

CREATE TABLE public.lti_choice (
    id text NOT NULL,
    platform text NOT NULL,
    account_id text NOT NULL,
    class_id text NOT NULL,
    deployment text NOT NULL,
    return_url text NOT NULL,
    data text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.lti_course (
    platform text NOT NULL,
    context text NOT NULL,
    class_id text NOT NULL,
    memberships text DEFAULT ''::text NOT NULL
);

CREATE TABLE public.lti_key (
    id text NOT NULL,
    private_key jsonb NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.lti_link (
    platform text NOT NULL,
    link text NOT NULL,
    assignment_id text NOT NULL,
    line_item text DEFAULT ''::text NOT NULL
);

CREATE TABLE public.lti_login (
    state text NOT NULL,
    nonce text NOT NULL,
    platform text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.made_file (
    id text NOT NULL,
    account_id text NOT NULL,
    timeline_id text,
    job_id bigint,
    name text NOT NULL,
    type text NOT NULL,
    size bigint DEFAULT 0 NOT NULL,
    notices jsonb DEFAULT '[]'::jsonb NOT NULL,
    made_at timestamp with time zone,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.made_piece (
    file_id text NOT NULL,
    n integer NOT NULL,
    bytes bytea NOT NULL
);

CREATE TABLE public.mail (
    id bigint NOT NULL,
    account_id text,
    recipient text NOT NULL,
    subject text NOT NULL,
    body text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    sent_at timestamp with time zone,
    failed text,
    house boolean DEFAULT false NOT NULL,
    holds_key boolean DEFAULT false NOT NULL
);

ALTER TABLE public.mail ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.mail_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);

CREATE TABLE public.mail_key (
    token_hash bytea NOT NULL,
    account_id text NOT NULL,
    purpose text NOT NULL,
    email text NOT NULL,
    expires_at timestamp with time zone NOT NULL,
    CONSTRAINT mail_key_purpose_known CHECK ((purpose = ANY (ARRAY['sign_in'::text, 'address'::text])))
);

CREATE TABLE public.mark (
    submission_id text NOT NULL,
    points numeric,
    comment text DEFAULT ''::text NOT NULL,
    returned_at timestamp with time zone,
    to_improve boolean DEFAULT false NOT NULL,
    levels jsonb DEFAULT '[]'::jsonb NOT NULL,
    version integer DEFAULT 0 NOT NULL,
    by_id text,
    saved_by text,
    at timestamp with time zone DEFAULT now() NOT NULL,
    hold_until timestamp with time zone
);

CREATE TABLE public.mark_before (
    submission_id text NOT NULL,
    n integer NOT NULL,
    points numeric,
    levels jsonb NOT NULL,
    comment text NOT NULL,
    by_id text,
    at timestamp with time zone DEFAULT now() NOT NULL,
    reason text NOT NULL
);

CREATE TABLE public.mark_reply (
    id bigint NOT NULL,
    submission_id text NOT NULL,
    account_id text,
    by_teacher boolean NOT NULL,
    text text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT mark_reply_length CHECK (((length(text) >= 1) AND (length(text) <= 2000)))
);

ALTER TABLE public.mark_reply ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.mark_reply_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);

CREATE TABLE public.mark_voice (
    submission_id text NOT NULL,
    bytes bytea NOT NULL,
    type text NOT NULL,
    seconds real NOT NULL,
    spoken text NOT NULL,
    by_id text,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.media (
    id text NOT NULL,
    timeline_id text NOT NULL,
    kind text NOT NULL,
    name text NOT NULL,
    width integer,
    height integer,
    created_by text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    made_of text,
    put_away boolean DEFAULT false NOT NULL,
    tones jsonb,
    CONSTRAINT media_kind_known CHECK ((kind = ANY (ARRAY['picture'::text, 'video'::text, 'sound'::text])))
);

CREATE TABLE public.media_file (
    media_id text NOT NULL,
    size text NOT NULL,
    hash text NOT NULL,
    width integer,
    height integer
);

CREATE TABLE public.migration (
    name text NOT NULL,
    text text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.moderation (
    submission_id text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.notice_choice (
    account_id text NOT NULL,
    kind text NOT NULL,
    here boolean NOT NULL,
    by_mail boolean NOT NULL,
    CONSTRAINT notice_choice_kind_known CHECK ((kind = ANY (ARRAY['named'::text, 'suggestion'::text, 'class'::text, 'school'::text])))
);

CREATE TABLE public.one_time_code (
    account_id text NOT NULL,
    code_hash bytea NOT NULL,
    expires_at timestamp with time zone NOT NULL
);

CREATE TABLE public.opened_day (
    timeline_id text NOT NULL,
    day date NOT NULL,
    count integer NOT NULL
);

CREATE TABLE public.organisation (
    id text NOT NULL,
    name text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    publish_limit text DEFAULT 'everybody'::text NOT NULL,
    sign_on_provider text,
    CONSTRAINT organisation_name_length CHECK (((length(name) >= 1) AND (length(name) <= 120))),
    CONSTRAINT organisation_publish_limit_known CHECK ((publish_limit = ANY (ARRAY['only_me'::text, 'class'::text, 'school'::text, 'link'::text, 'everybody'::text])))
);

CREATE TABLE public.organisation_invitation (
    token text NOT NULL,
    organisation_id text NOT NULL,
    email text NOT NULL,
    role text NOT NULL,
    invited_by text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT organisation_invitation_role_known CHECK ((role = ANY (ARRAY['administrator'::text, 'teacher'::text])))
);

CREATE TABLE public.organisation_member (
    organisation_id text NOT NULL,
    account_id text NOT NULL,
    role text NOT NULL,
    joined_at timestamp with time zone DEFAULT clock_timestamp() NOT NULL,
    CONSTRAINT organisation_role_known CHECK ((role = ANY (ARRAY['administrator'::text, 'teacher'::text])))
);

CREATE TABLE public.page (
    version_id text NOT NULL,
    build text NOT NULL,
    html text NOT NULL,
    policy text NOT NULL,
    etag text NOT NULL
);

CREATE TABLE public.page_pass (
    token_hash bytea NOT NULL,
    timeline_id text NOT NULL,
    made_at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.page_report (
    id bigint NOT NULL,
    timeline_id text NOT NULL,
    reason text NOT NULL,
    words text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    decided_at timestamp with time zone,
    CONSTRAINT page_report_reason_known CHECK ((reason = ANY (ARRAY['harmful'::text, 'private'::text, 'copied'::text, 'advertising'::text, 'other'::text])))
);

ALTER TABLE public.page_report ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.page_report_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);

CREATE TABLE public.past_state (
    timeline_id text NOT NULL,
    seq integer NOT NULL,
    format integer NOT NULL,
    packed bytea NOT NULL
);

CREATE TABLE public.peer_review (
    id text NOT NULL,
    assignment_id text NOT NULL,
    submission_id text NOT NULL,
    account_id text NOT NULL,
    blind boolean NOT NULL,
    levels jsonb DEFAULT '[]'::jsonb NOT NULL,
    comment text DEFAULT ''::text NOT NULL,
    done_at timestamp with time zone,
    CONSTRAINT peer_review_comment_length CHECK ((length(comment) <= 4000))
);

CREATE TABLE public.practice (
    id text NOT NULL,
    class_id text NOT NULL,
    timeline_id text,
    title text NOT NULL,
    cards jsonb NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    due_at timestamp with time zone
);

CREATE TABLE public.practice_result (
    id bigint NOT NULL,
    practice_id text NOT NULL,
    account_id text NOT NULL,
    placed jsonb NOT NULL,
    right_count integer NOT NULL,
    share double precision NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

ALTER TABLE public.practice_result ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.practice_result_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);

CREATE TABLE public.publication (
    timeline_id text NOT NULL,
    address text NOT NULL,
    visibility text NOT NULL,
    version_id text NOT NULL,
    taken_back_at timestamp with time zone,
    title text DEFAULT ''::text NOT NULL,
    byline text DEFAULT ''::text NOT NULL,
    events integer DEFAULT 0 NOT NULL,
    published_at timestamp with time zone DEFAULT now() NOT NULL,
    class_id text,
    zone text DEFAULT 'UTC'::text NOT NULL,
    password_hash text,
    opens_at timestamp with time zone,
    closes_at timestamp with time zone,
    hidden_at timestamp with time zone,
    copies boolean DEFAULT false NOT NULL,
    embed_sites text[] DEFAULT '{}'::text[] NOT NULL,
    subject text DEFAULT ''::text NOT NULL,
    config regconfig,
    words tsvector,
    days int8range,
    pictures integer DEFAULT 0 NOT NULL,
    opened bigint DEFAULT 0 NOT NULL,
    organisation_id text,
    CONSTRAINT publication_closes_after_it_opens CHECK (((closes_at IS NULL) OR (opens_at IS NULL) OR (closes_at > opens_at))),
    CONSTRAINT publication_password_where_asked CHECK (((visibility <> 'password'::text) OR (password_hash IS NOT NULL))),
    CONSTRAINT publication_visibility_known CHECK ((visibility = ANY (ARRAY['only_me'::text, 'class'::text, 'school'::text, 'password'::text, 'link'::text, 'everybody'::text])))
);
ALTER TABLE ONLY public.publication ALTER COLUMN words SET STATISTICS 1000;

CREATE TABLE public.question (
    id bigint NOT NULL,
    timeline_id text NOT NULL,
    event_id text NOT NULL,
    account_id text,
    text text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    answer text DEFAULT ''::text NOT NULL,
    answered_by text,
    answered_at timestamp with time zone,
    CONSTRAINT question_length CHECK (((length(text) >= 1) AND (length(text) <= 2000)))
);

ALTER TABLE public.question ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.question_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);

CREATE TABLE public.removed_editor (
    timeline_id text NOT NULL,
    account_id text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.rubric (
    id text NOT NULL,
    account_id text NOT NULL,
    rubric jsonb NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.said_report (
    id text NOT NULL,
    timeline_id text NOT NULL,
    kind text NOT NULL,
    thing text NOT NULL,
    text text NOT NULL,
    said_by text NOT NULL,
    reason text NOT NULL,
    words text NOT NULL,
    account_id text,
    at timestamp with time zone DEFAULT now() NOT NULL,
    decided_at timestamp with time zone,
    CONSTRAINT said_report_kind_known CHECK ((kind = ANY (ARRAY['comment'::text, 'suggestion'::text, 'sent'::text])))
);

CREATE TABLE public.saved_look (
    id text NOT NULL,
    account_id text NOT NULL,
    class_id text,
    name text NOT NULL,
    look jsonb NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.second_mark (
    submission_id text NOT NULL,
    account_id text NOT NULL,
    points numeric NOT NULL,
    levels jsonb DEFAULT '[]'::jsonb NOT NULL,
    comment text DEFAULT ''::text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT second_mark_comment_length CHECK ((length(comment) <= 4000))
);

CREATE TABLE public.sent_event (
    id text NOT NULL,
    timeline_id text NOT NULL,
    name text NOT NULL,
    "when" text DEFAULT ''::text NOT NULL,
    title text NOT NULL,
    text text DEFAULT ''::text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.session (
    token_hash bytea NOT NULL,
    account_id text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    expires_at timestamp with time zone NOT NULL,
    id text DEFAULT replace((gen_random_uuid())::text, '-'::text, ''::text) NOT NULL,
    browser text DEFAULT ''::text NOT NULL,
    seen_at timestamp with time zone DEFAULT now() NOT NULL,
    sign_on jsonb
);

CREATE TABLE public.set_aside (
    timeline_id text NOT NULL,
    finding text NOT NULL,
    reason text NOT NULL,
    account_id text,
    at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT set_aside_length CHECK (((length(reason) >= 1) AND (length(reason) <= 500)))
);

CREATE TABLE public.short_link (
    word text NOT NULL,
    timeline_id text NOT NULL,
    made_at timestamp with time zone DEFAULT clock_timestamp() NOT NULL,
    CONSTRAINT short_link_shape CHECK (((word ~ '^[a-z0-9]+(-[a-z0-9]+)*$'::text) AND ((length(word) >= 3) AND (length(word) <= 40))))
);

CREATE VIEW public.shown_publication AS
 SELECT p.timeline_id,
    p.address,
    p.version_id,
    p.taken_back_at,
    p.title,
    p.byline,
    p.events,
    p.published_at,
    p.visibility AS chosen,
        CASE
            WHEN ((COALESCE(c.organisation_id, p.organisation_id) IS NULL) AND (w.visibility = 'school'::text)) THEN
            CASE
                WHEN (c.id IS NULL) THEN 'only_me'::text
                ELSE 'class'::text
            END
            ELSE w.visibility
        END AS visibility,
    COALESCE(c.id, p.class_id) AS class_id,
    p.zone,
    p.opens_at,
    p.closes_at,
    p.hidden_at,
    p.copies,
    p.embed_sites,
    p.subject,
    p.pictures,
    p.opened,
    ((p.taken_back_at IS NULL) AND (p.hidden_at IS NULL) AND ((p.opens_at IS NULL) OR (p.opens_at <= now())) AND ((p.closes_at IS NULL) OR (p.closes_at > now()))) AS open,
    ( SELECT s.word
           FROM public.short_link s
          WHERE (s.timeline_id = p.timeline_id)
          ORDER BY s.made_at DESC
         LIMIT 1) AS word,
        CASE
            WHEN (c.id IS NULL) THEN p.organisation_id
            ELSE c.organisation_id
        END AS organisation_id
   FROM (((((public.publication p
     LEFT JOIN public.group_work g ON ((g.timeline_id = p.timeline_id)))
     LEFT JOIN public.assignment a ON ((a.id = g.assignment_id)))
     LEFT JOIN public.class c ON ((c.id = a.class_id)))
     LEFT JOIN public.organisation o ON ((o.id = c.organisation_id)))
     CROSS JOIN LATERAL ( SELECT (ARRAY['only_me'::text, 'class'::text, 'school'::text, 'password'::text, 'link'::text, 'everybody'::text])[LEAST(public.reach(p.visibility), public.reach(COALESCE(c.publish_limit, 'everybody'::text)), public.reach(COALESCE(o.publish_limit, 'everybody'::text)))] AS visibility) w);

CREATE TABLE public.sign_in_attempt (
    name text NOT NULL,
    failures integer NOT NULL,
    last_at timestamp with time zone NOT NULL
);

CREATE TABLE public.sign_on_account (
    provider text NOT NULL,
    subject text NOT NULL,
    account_id text NOT NULL
);

CREATE TABLE public.sign_on_claim (
    id text NOT NULL,
    provider text NOT NULL,
    subject text NOT NULL,
    claims jsonb NOT NULL,
    id_token text NOT NULL,
    account_id text NOT NULL,
    leads_to text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.sign_on_group (
    provider text NOT NULL,
    name text NOT NULL,
    class_id text NOT NULL
);

CREATE TABLE public.sign_on_login (
    state text NOT NULL,
    provider text NOT NULL,
    nonce text NOT NULL,
    verifier text NOT NULL,
    leads_to text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.source (
    timeline_id text NOT NULL,
    id text NOT NULL,
    kind text DEFAULT 'line'::text NOT NULL,
    title text DEFAULT ''::text NOT NULL,
    authors jsonb DEFAULT '[]'::jsonb NOT NULL,
    within text DEFAULT ''::text NOT NULL,
    volume text DEFAULT ''::text NOT NULL,
    issue text DEFAULT ''::text NOT NULL,
    pages text DEFAULT ''::text NOT NULL,
    publisher text DEFAULT ''::text NOT NULL,
    place text DEFAULT ''::text NOT NULL,
    date jsonb NOT NULL,
    address text DEFAULT ''::text NOT NULL,
    looked_up text DEFAULT ''::text NOT NULL,
    call_number text DEFAULT ''::text NOT NULL,
    rest jsonb DEFAULT '{}'::jsonb NOT NULL,
    deleted boolean DEFAULT false NOT NULL,
    deleted_at timestamp with time zone,
    purged boolean DEFAULT false NOT NULL
);

CREATE TABLE public.step_spare (
    account_id text NOT NULL,
    code_hash bytea NOT NULL
);

CREATE TABLE public.submission_drawing (
    submission_id text NOT NULL,
    kind text NOT NULL,
    svg text NOT NULL,
    CONSTRAINT submission_drawing_kind_known CHECK ((kind = ANY (ARRAY['alone'::text, 'beside'::text])))
);

CREATE TABLE public.suggestion (
    id text NOT NULL,
    timeline_id text NOT NULL,
    event_id text DEFAULT ''::text NOT NULL,
    account_id text NOT NULL,
    was jsonb NOT NULL,
    given jsonb NOT NULL,
    why text DEFAULT ''::text NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.thumbnail (
    timeline_id text NOT NULL,
    seq integer NOT NULL,
    build text NOT NULL,
    svg text
);

CREATE TABLE public.timeline (
    id text NOT NULL,
    title text DEFAULT ''::text NOT NULL,
    subject text DEFAULT ''::text NOT NULL,
    introduction bytea DEFAULT '\x'::bytea NOT NULL,
    period jsonb NOT NULL,
    scale text DEFAULT 'balanced'::text NOT NULL,
    date_order text,
    seq integer DEFAULT 0 NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    altered_at timestamp with time zone DEFAULT now() NOT NULL,
    deleted_at timestamp with time zone,
    byline text DEFAULT ''::text NOT NULL,
    date_style jsonb,
    hemisphere text DEFAULT 'north'::text NOT NULL,
    margins jsonb,
    gridlines boolean DEFAULT false NOT NULL,
    marks jsonb,
    first_view text DEFAULT ''::text NOT NULL,
    lengths boolean DEFAULT false NOT NULL,
    today boolean DEFAULT false NOT NULL,
    log_bytes bigint DEFAULT 0 NOT NULL,
    times_on jsonb,
    pictures text DEFAULT 'large'::text NOT NULL,
    type_size integer,
    label_words text DEFAULT 'room'::text NOT NULL,
    language text DEFAULT 'en'::text NOT NULL,
    log_epoch integer DEFAULT 0 NOT NULL,
    closing bytea DEFAULT '\x'::bytea NOT NULL,
    source_manner text DEFAULT 'apa'::text NOT NULL,
    cover_place text DEFAULT 'beside'::text NOT NULL,
    map_ties jsonb DEFAULT '[]'::jsonb NOT NULL,
    look text DEFAULT 'slate'::text NOT NULL,
    paper text DEFAULT ''::text NOT NULL,
    texture text DEFAULT ''::text NOT NULL,
    back_strength integer DEFAULT 20 NOT NULL,
    back_fit text DEFAULT 'fill'::text NOT NULL,
    line_weight integer DEFAULT 0 NOT NULL,
    label_dates text DEFAULT 'always'::text NOT NULL,
    label_titles text DEFAULT 'always'::text NOT NULL,
    based_on jsonb,
    CONSTRAINT timeline_date_order_known CHECK ((date_order = ANY (ARRAY['dmy'::text, 'mdy'::text]))),
    CONSTRAINT timeline_first_view_short CHECK ((length(first_view) <= 200)),
    CONSTRAINT timeline_hemisphere_known CHECK ((hemisphere = ANY (ARRAY['north'::text, 'south'::text]))),
    CONSTRAINT timeline_label_words_known CHECK ((label_words = ANY (ARRAY['room'::text, 'none'::text]))),
    CONSTRAINT timeline_pictures_known CHECK ((pictures = ANY (ARRAY['large'::text, 'small'::text, 'none'::text]))),
    CONSTRAINT timeline_scale_known CHECK ((scale = ANY (ARRAY['balanced'::text, 'true'::text, 'even'::text]))),
    CONSTRAINT timeline_title_length CHECK ((length(title) <= 300)),
    CONSTRAINT timeline_type_size CHECK (((type_size >= 12) AND (type_size <= 22)))
);

CREATE TABLE public.tried (
    name text NOT NULL,
    level double precision NOT NULL,
    at timestamp with time zone NOT NULL
);

CREATE TABLE public.upload (
    id text NOT NULL,
    timeline_id text NOT NULL,
    account_id text NOT NULL,
    name text NOT NULL,
    size bigint NOT NULL,
    media_id text,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);

CREATE TABLE public.upload_piece (
    upload_id text NOT NULL,
    n integer NOT NULL,
    bytes bytea NOT NULL
);

CREATE TABLE public.version (
    id text NOT NULL,
    timeline_id text NOT NULL,
    number integer NOT NULL,
    seq integer NOT NULL,
    purpose text NOT NULL,
    format integer NOT NULL,
    json text NOT NULL,
    hash text NOT NULL,
    created_by text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT version_purpose_known CHECK ((purpose = ANY (ARRAY['publication'::text, 'frozen_copy'::text, 'submission'::text])))
);

CREATE TABLE public.version_media (
    version_id text NOT NULL,
    media_id text NOT NULL,
    called text NOT NULL
);

ALTER TABLE ONLY public.account_notice
    ADD CONSTRAINT account_notice_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.account
    ADD CONSTRAINT account_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.address_check
    ADD CONSTRAINT address_check_pkey PRIMARY KEY (address);

ALTER TABLE ONLY public.assignment_picture
    ADD CONSTRAINT assignment_picture_pkey PRIMARY KEY (assignment_id, id);

ALTER TABLE ONLY public.assignment
    ADD CONSTRAINT assignment_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.blob_loose
    ADD CONSTRAINT blob_loose_pkey PRIMARY KEY (hash);

ALTER TABLE ONLY public.blob_piece
    ADD CONSTRAINT blob_piece_pkey PRIMARY KEY (hash, n);

ALTER TABLE ONLY public.blob
    ADD CONSTRAINT blob_pkey PRIMARY KEY (hash);

ALTER TABLE ONLY public.call_for_events
    ADD CONSTRAINT call_for_events_pkey PRIMARY KEY (timeline_id);

ALTER TABLE ONLY public.call_for_events
    ADD CONSTRAINT call_for_events_token_key UNIQUE (token);

ALTER TABLE ONLY public.category
    ADD CONSTRAINT category_pkey PRIMARY KEY (timeline_id, id);

ALTER TABLE ONLY public.change
    ADD CONSTRAINT change_id_unique UNIQUE (timeline_id, id);

ALTER TABLE ONLY public.change
    ADD CONSTRAINT change_pkey PRIMARY KEY (timeline_id, seq);

ALTER TABLE ONLY public.check_result
    ADD CONSTRAINT check_result_pkey PRIMARY KEY (timeline_id);

ALTER TABLE ONLY public.class_member
    ADD CONSTRAINT class_member_pkey PRIMARY KEY (class_id, account_id);

ALTER TABLE ONLY public.class
    ADD CONSTRAINT class_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.class_teacher
    ADD CONSTRAINT class_teacher_pkey PRIMARY KEY (class_id, account_id);

ALTER TABLE ONLY public.close_wording
    ADD CONSTRAINT close_wording_pkey PRIMARY KEY (assignment_id);

ALTER TABLE ONLY public.comment
    ADD CONSTRAINT comment_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.comment_seen
    ADD CONSTRAINT comment_seen_pkey PRIMARY KEY (timeline_id, account_id);

ALTER TABLE ONLY public.editor
    ADD CONSTRAINT editor_pkey PRIMARY KEY (timeline_id, account_id);

ALTER TABLE ONLY public.event_comment
    ADD CONSTRAINT event_comment_pkey PRIMARY KEY (submission_id, event_id);

ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_pkey PRIMARY KEY (timeline_id, id);

ALTER TABLE ONLY public.extension
    ADD CONSTRAINT extension_pkey PRIMARY KEY (assignment_id, account_id);

ALTER TABLE ONLY public.frozen_copy
    ADD CONSTRAINT frozen_copy_pkey PRIMARY KEY (address);

ALTER TABLE ONLY public.gallery
    ADD CONSTRAINT gallery_pkey PRIMARY KEY (assignment_id, submission_id);

ALTER TABLE ONLY public.given_event
    ADD CONSTRAINT given_event_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.given_mark
    ADD CONSTRAINT given_mark_pkey PRIMARY KEY (submission_id, n);

ALTER TABLE ONLY public.group_member
    ADD CONSTRAINT group_member_pkey PRIMARY KEY (assignment_id, account_id);

ALTER TABLE ONLY public.group_work
    ADD CONSTRAINT group_work_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.group_work
    ADD CONSTRAINT group_work_timeline_unique UNIQUE (timeline_id);

ALTER TABLE ONLY public.guest
    ADD CONSTRAINT guest_pkey PRIMARY KEY (timeline_id, account_id);

ALTER TABLE ONLY public.invitation
    ADD CONSTRAINT invitation_pkey PRIMARY KEY (token);

ALTER TABLE ONLY public.item
    ADD CONSTRAINT item_pkey PRIMARY KEY (timeline_id, id);

ALTER TABLE ONLY public.job
    ADD CONSTRAINT job_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.job_runner
    ADD CONSTRAINT job_runner_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.kept_comment
    ADD CONSTRAINT kept_comment_account_id_text_key UNIQUE (account_id, text);

ALTER TABLE ONLY public.kept_comment
    ADD CONSTRAINT kept_comment_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.known_browser
    ADD CONSTRAINT known_browser_pkey PRIMARY KEY (token_hash);

ALTER TABLE ONLY public.lti_account
    ADD CONSTRAINT lti_account_pkey PRIMARY KEY (platform, subject);

ALTER TABLE ONLY public.lti_choice
    ADD CONSTRAINT lti_choice_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.lti_course
    ADD CONSTRAINT lti_course_pkey PRIMARY KEY (platform, context);

ALTER TABLE ONLY public.lti_key
    ADD CONSTRAINT lti_key_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.lti_link
    ADD CONSTRAINT lti_link_pkey PRIMARY KEY (platform, link);

ALTER TABLE ONLY public.lti_login
    ADD CONSTRAINT lti_login_pkey PRIMARY KEY (state);

ALTER TABLE ONLY public.made_file
    ADD CONSTRAINT made_file_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.made_piece
    ADD CONSTRAINT made_piece_pkey PRIMARY KEY (file_id, n);

ALTER TABLE ONLY public.mail_key
    ADD CONSTRAINT mail_key_pkey PRIMARY KEY (token_hash);

ALTER TABLE ONLY public.mail
    ADD CONSTRAINT mail_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.mark_before
    ADD CONSTRAINT mark_before_pkey PRIMARY KEY (submission_id, n);

ALTER TABLE ONLY public.mark
    ADD CONSTRAINT mark_pkey PRIMARY KEY (submission_id);

ALTER TABLE ONLY public.mark_reply
    ADD CONSTRAINT mark_reply_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.mark_voice
    ADD CONSTRAINT mark_voice_pkey PRIMARY KEY (submission_id);

ALTER TABLE ONLY public.media_file
    ADD CONSTRAINT media_file_pkey PRIMARY KEY (media_id, size);

ALTER TABLE ONLY public.media
    ADD CONSTRAINT media_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.migration
    ADD CONSTRAINT migration_pkey PRIMARY KEY (name);

ALTER TABLE ONLY public.moderation
    ADD CONSTRAINT moderation_pkey PRIMARY KEY (submission_id);

ALTER TABLE ONLY public.notice_choice
    ADD CONSTRAINT notice_choice_pkey PRIMARY KEY (account_id, kind);

ALTER TABLE ONLY public.one_time_code
    ADD CONSTRAINT one_time_code_pkey PRIMARY KEY (account_id);

ALTER TABLE ONLY public.opened_day
    ADD CONSTRAINT opened_day_pkey PRIMARY KEY (timeline_id, day);

ALTER TABLE ONLY public.organisation_invitation
    ADD CONSTRAINT organisation_invitation_pkey PRIMARY KEY (token);

ALTER TABLE ONLY public.organisation_member
    ADD CONSTRAINT organisation_member_pkey PRIMARY KEY (organisation_id, account_id);

ALTER TABLE ONLY public.organisation
    ADD CONSTRAINT organisation_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.page_pass
    ADD CONSTRAINT page_pass_pkey PRIMARY KEY (token_hash);

ALTER TABLE ONLY public.page
    ADD CONSTRAINT page_pkey PRIMARY KEY (version_id, build);

ALTER TABLE ONLY public.page_report
    ADD CONSTRAINT page_report_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.past_state
    ADD CONSTRAINT past_state_pkey PRIMARY KEY (timeline_id, seq);

ALTER TABLE ONLY public.peer_review
    ADD CONSTRAINT peer_review_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.peer_review
    ADD CONSTRAINT peer_review_submission_id_account_id_key UNIQUE (submission_id, account_id);

ALTER TABLE ONLY public.practice
    ADD CONSTRAINT practice_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.practice_result
    ADD CONSTRAINT practice_result_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.publication
    ADD CONSTRAINT publication_address_unique UNIQUE (address);

ALTER TABLE ONLY public.publication
    ADD CONSTRAINT publication_pkey PRIMARY KEY (timeline_id);

ALTER TABLE ONLY public.question
    ADD CONSTRAINT question_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.removed_editor
    ADD CONSTRAINT removed_editor_pkey PRIMARY KEY (timeline_id, account_id);

ALTER TABLE ONLY public.rubric
    ADD CONSTRAINT rubric_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.said_report
    ADD CONSTRAINT said_report_kind_thing_account_id_key UNIQUE (kind, thing, account_id);

ALTER TABLE ONLY public.said_report
    ADD CONSTRAINT said_report_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.saved_look
    ADD CONSTRAINT saved_look_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.second_mark
    ADD CONSTRAINT second_mark_pkey PRIMARY KEY (submission_id, account_id);

ALTER TABLE ONLY public.sent_event
    ADD CONSTRAINT sent_event_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.session
    ADD CONSTRAINT session_pkey PRIMARY KEY (token_hash);

ALTER TABLE ONLY public.set_aside
    ADD CONSTRAINT set_aside_pkey PRIMARY KEY (timeline_id, finding);

ALTER TABLE ONLY public.short_link
    ADD CONSTRAINT short_link_pkey PRIMARY KEY (word);

ALTER TABLE ONLY public.sign_in_attempt
    ADD CONSTRAINT sign_in_attempt_pkey PRIMARY KEY (name);

ALTER TABLE ONLY public.sign_on_account
    ADD CONSTRAINT sign_on_account_pkey PRIMARY KEY (provider, subject);

ALTER TABLE ONLY public.sign_on_claim
    ADD CONSTRAINT sign_on_claim_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.sign_on_group
    ADD CONSTRAINT sign_on_group_pkey PRIMARY KEY (provider, name);

ALTER TABLE ONLY public.sign_on_login
    ADD CONSTRAINT sign_on_login_pkey PRIMARY KEY (state);

ALTER TABLE ONLY public.source
    ADD CONSTRAINT source_pkey PRIMARY KEY (timeline_id, id);

ALTER TABLE ONLY public.step_spare
    ADD CONSTRAINT step_spare_pkey PRIMARY KEY (account_id, code_hash);

ALTER TABLE ONLY public.submission_drawing
    ADD CONSTRAINT submission_drawing_pkey PRIMARY KEY (submission_id, kind);

ALTER TABLE ONLY public.submission
    ADD CONSTRAINT submission_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.suggestion
    ADD CONSTRAINT suggestion_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.thumbnail
    ADD CONSTRAINT thumbnail_pkey PRIMARY KEY (timeline_id);

ALTER TABLE ONLY public.timeline
    ADD CONSTRAINT timeline_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.tried
    ADD CONSTRAINT tried_pkey PRIMARY KEY (name);

ALTER TABLE ONLY public.upload_piece
    ADD CONSTRAINT upload_piece_pkey PRIMARY KEY (upload_id, n);

ALTER TABLE ONLY public.upload
    ADD CONSTRAINT upload_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.version_media
    ADD CONSTRAINT version_media_pkey PRIMARY KEY (version_id, called);

ALTER TABLE ONLY public.version
    ADD CONSTRAINT version_number_unique UNIQUE (timeline_id, number);

ALTER TABLE ONLY public.version
    ADD CONSTRAINT version_pkey PRIMARY KEY (id);

CREATE INDEX account_delete_at ON public.account USING btree (delete_at) WHERE (delete_at IS NOT NULL);

CREATE UNIQUE INDEX account_email_unique ON public.account USING btree (lower(email));

CREATE INDEX account_notice_account ON public.account_notice USING btree (account_id);

CREATE INDEX account_notice_mail ON public.account_notice USING btree (account_id, at) WHERE by_mail;

CREATE UNIQUE INDEX account_sign_in_name_unique ON public.account USING btree (lower(sign_in_name));

CREATE INDEX assignment_class ON public.assignment USING btree (class_id);

CREATE INDEX assignment_model ON public.assignment USING btree (model) WHERE (model IS NOT NULL);

CREATE INDEX blob_store ON public.blob USING btree (store);

CREATE UNIQUE INDEX class_join_code_unique ON public.class USING btree (upper(join_code));

CREATE INDEX class_member_account ON public.class_member USING btree (account_id);

CREATE INDEX class_organisation ON public.class USING btree (organisation_id) WHERE (organisation_id IS NOT NULL);

CREATE INDEX class_teacher_account ON public.class_teacher USING btree (account_id);

CREATE INDEX close_passage_assignment ON public.close_passage USING btree (assignment_id);

CREATE INDEX close_passage_timeline ON public.close_passage USING btree (timeline_id);

CREATE INDEX comment_account ON public.comment USING btree (account_id);

CREATE INDEX comment_thread ON public.comment USING btree (thread);

CREATE INDEX comment_timeline ON public.comment USING btree (timeline_id, event_id);

CREATE INDEX editor_account ON public.editor USING btree (account_id);

CREATE INDEX event_author ON public.event USING btree (author_id) WHERE (author_id IS NOT NULL);

CREATE INDEX frozen_copy_timeline ON public.frozen_copy USING btree (timeline_id);

CREATE INDEX gallery_submission ON public.gallery USING btree (submission_id);

CREATE INDEX given_event_assignment ON public.given_event USING btree (assignment_id);

CREATE INDEX group_member_group ON public.group_member USING btree (group_id);

CREATE INDEX group_work_assignment ON public.group_work USING btree (assignment_id);

CREATE INDEX guest_account ON public.guest USING btree (account_id);

CREATE UNIQUE INDEX invitation_account ON public.invitation USING btree (timeline_id, account_id);

CREATE INDEX invitation_by ON public.invitation USING btree (invited_by);

CREATE UNIQUE INDEX invitation_email ON public.invitation USING btree (timeline_id, lower(email));

CREATE INDEX invitation_for ON public.invitation USING btree (account_id);

CREATE UNIQUE INDEX invitation_link ON public.invitation USING btree (timeline_id, role) WHERE ((email IS NULL) AND (account_id IS NULL));

CREATE INDEX item_of ON public.item USING btree (timeline_id, of);

CREATE INDEX job_about ON public.job USING btree (kind, about, id DESC);

CREATE INDEX job_ended ON public.job USING btree (ended_at) WHERE (ended_at IS NOT NULL);

CREATE UNIQUE INDEX job_waiting ON public.job USING btree (kind, about) WHERE (state = 'waiting'::text);

CREATE INDEX known_browser_account ON public.known_browser USING btree (account_id);

CREATE INDEX lti_account_account ON public.lti_account USING btree (account_id);

CREATE INDEX lti_course_class ON public.lti_course USING btree (class_id);

CREATE INDEX lti_link_assignment ON public.lti_link USING btree (assignment_id);

CREATE INDEX made_file_account ON public.made_file USING btree (account_id, at);

CREATE INDEX mail_account ON public.mail USING btree (account_id, at DESC);

CREATE INDEX mail_holds_key ON public.mail USING btree (at) WHERE holds_key;

CREATE INDEX mail_key_account ON public.mail_key USING btree (account_id);

CREATE INDEX mark_reply_submission ON public.mark_reply USING btree (submission_id, id);

CREATE INDEX media_file_hash ON public.media_file USING btree (hash);

CREATE INDEX media_made_of ON public.media USING btree (made_of);

CREATE INDEX media_timeline ON public.media USING btree (timeline_id);

CREATE UNIQUE INDEX organisation_invitation_email ON public.organisation_invitation USING btree (organisation_id, lower(email));

CREATE INDEX page_pass_timeline ON public.page_pass USING btree (timeline_id);

CREATE INDEX page_report_waiting ON public.page_report USING btree (at) WHERE (decided_at IS NULL);

CREATE INDEX peer_review_account ON public.peer_review USING btree (account_id, assignment_id);

CREATE INDEX peer_review_assignment ON public.peer_review USING btree (assignment_id);

CREATE INDEX practice_class ON public.practice USING btree (class_id);

CREATE INDEX practice_result_account ON public.practice_result USING btree (account_id);

CREATE INDEX practice_result_practice ON public.practice_result USING btree (practice_id, account_id);

CREATE INDEX practice_timeline ON public.practice USING btree (timeline_id);

CREATE INDEX publication_days ON public.publication USING gist (days) WHERE ((visibility = 'everybody'::text) AND (taken_back_at IS NULL));

CREATE INDEX publication_listed ON public.publication USING btree (published_at DESC) WHERE ((visibility = 'everybody'::text) AND (taken_back_at IS NULL));

CREATE INDEX publication_most_opened ON public.publication USING btree (opened DESC) WHERE ((visibility = 'everybody'::text) AND (taken_back_at IS NULL));

CREATE INDEX publication_organisation ON public.publication USING btree (organisation_id) WHERE (organisation_id IS NOT NULL);

CREATE INDEX publication_subject ON public.publication USING btree (lower(subject), published_at DESC) WHERE ((visibility = 'everybody'::text) AND (taken_back_at IS NULL));

CREATE INDEX publication_unfound ON public.publication USING btree (timeline_id) WHERE (words IS NULL);

CREATE INDEX publication_words ON public.publication USING gin (words) WHERE ((visibility = 'everybody'::text) AND (taken_back_at IS NULL));

CREATE INDEX question_timeline ON public.question USING btree (timeline_id, id);

CREATE INDEX rubric_account ON public.rubric USING btree (account_id, at);

CREATE INDEX said_report_account ON public.said_report USING btree (account_id);

CREATE INDEX said_report_timeline ON public.said_report USING btree (timeline_id);

CREATE INDEX said_report_waiting ON public.said_report USING btree (at) WHERE (decided_at IS NULL);

CREATE INDEX saved_look_account ON public.saved_look USING btree (account_id);

CREATE INDEX saved_look_class ON public.saved_look USING btree (class_id);

CREATE INDEX sent_event_timeline ON public.sent_event USING btree (timeline_id, at);

CREATE INDEX session_account ON public.session USING btree (account_id);

CREATE INDEX session_expires ON public.session USING btree (expires_at);

CREATE UNIQUE INDEX session_id_unique ON public.session USING btree (id);

CREATE INDEX session_sign_on ON public.session USING btree (((sign_on ->> 'provider'::text)), ((sign_on ->> 'subject'::text))) WHERE (sign_on IS NOT NULL);

CREATE INDEX short_link_timeline ON public.short_link USING btree (timeline_id, made_at DESC);

CREATE INDEX sign_on_account_account ON public.sign_on_account USING btree (account_id);

CREATE INDEX sign_on_claim_account ON public.sign_on_claim USING btree (account_id);

CREATE INDEX sign_on_group_class ON public.sign_on_group USING btree (class_id);

CREATE INDEX submission_group ON public.submission USING btree (group_id);

CREATE INDEX submission_replaced_by ON public.submission USING btree (replaced_by);

CREATE INDEX suggestion_account ON public.suggestion USING btree (account_id);

CREATE INDEX suggestion_timeline ON public.suggestion USING btree (timeline_id, at);

CREATE INDEX version_media_media ON public.version_media USING btree (media_id);

CREATE TRIGGER choose_notice BEFORE INSERT ON public.account_notice FOR EACH ROW EXECUTE FUNCTION public.choose_notice();

CREATE TRIGGER submission_is_frozen BEFORE DELETE OR UPDATE ON public.submission FOR EACH ROW EXECUTE FUNCTION public.refuse_submission_alteration();

CREATE TRIGGER version_is_frozen BEFORE DELETE OR UPDATE ON public.version FOR EACH ROW EXECUTE FUNCTION public.refuse_alteration();

CREATE TRIGGER version_media_is_frozen BEFORE DELETE OR UPDATE ON public.version_media FOR EACH ROW EXECUTE FUNCTION public.refuse_alteration();

ALTER TABLE ONLY public.account
    ADD CONSTRAINT account_made_in_class_fkey FOREIGN KEY (made_in_class) REFERENCES public.class(id);

ALTER TABLE ONLY public.account_notice
    ADD CONSTRAINT account_notice_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.assignment
    ADD CONSTRAINT assignment_class_id_fkey FOREIGN KEY (class_id) REFERENCES public.class(id);

ALTER TABLE ONLY public.assignment
    ADD CONSTRAINT assignment_model_fkey FOREIGN KEY (model) REFERENCES public.timeline(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.assignment_picture
    ADD CONSTRAINT assignment_picture_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.blob_piece
    ADD CONSTRAINT blob_piece_hash_fkey FOREIGN KEY (hash) REFERENCES public.blob(hash) ON DELETE CASCADE;

ALTER TABLE ONLY public.call_for_events
    ADD CONSTRAINT call_for_events_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.category
    ADD CONSTRAINT category_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.change
    ADD CONSTRAINT change_author_id_fkey FOREIGN KEY (author_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.change
    ADD CONSTRAINT change_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.check_result
    ADD CONSTRAINT check_result_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.class
    ADD CONSTRAINT class_follows_fkey FOREIGN KEY (follows) REFERENCES public.class(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.class_member
    ADD CONSTRAINT class_member_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.class_member
    ADD CONSTRAINT class_member_class_id_fkey FOREIGN KEY (class_id) REFERENCES public.class(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.class
    ADD CONSTRAINT class_organisation_id_fkey FOREIGN KEY (organisation_id) REFERENCES public.organisation(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.class_teacher
    ADD CONSTRAINT class_teacher_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.class_teacher
    ADD CONSTRAINT class_teacher_class_id_fkey FOREIGN KEY (class_id) REFERENCES public.class(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.close_passage
    ADD CONSTRAINT close_passage_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.close_passage
    ADD CONSTRAINT close_passage_other_timeline_fkey FOREIGN KEY (other_timeline) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.close_passage
    ADD CONSTRAINT close_passage_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.close_wording
    ADD CONSTRAINT close_wording_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.comment
    ADD CONSTRAINT comment_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.comment
    ADD CONSTRAINT comment_resolved_by_fkey FOREIGN KEY (resolved_by) REFERENCES public.account(id);

ALTER TABLE ONLY public.comment_seen
    ADD CONSTRAINT comment_seen_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.comment_seen
    ADD CONSTRAINT comment_seen_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.comment
    ADD CONSTRAINT comment_thread_fkey FOREIGN KEY (thread) REFERENCES public.comment(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.comment
    ADD CONSTRAINT comment_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.editor
    ADD CONSTRAINT editor_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.editor
    ADD CONSTRAINT editor_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_author_id_fkey FOREIGN KEY (author_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.event_comment
    ADD CONSTRAINT event_comment_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id);

ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.extension
    ADD CONSTRAINT extension_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.extension
    ADD CONSTRAINT extension_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.frozen_copy
    ADD CONSTRAINT frozen_copy_created_by_fkey FOREIGN KEY (created_by) REFERENCES public.account(id);

ALTER TABLE ONLY public.frozen_copy
    ADD CONSTRAINT frozen_copy_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id);

ALTER TABLE ONLY public.frozen_copy
    ADD CONSTRAINT frozen_copy_version_id_fkey FOREIGN KEY (version_id) REFERENCES public.version(id);

ALTER TABLE ONLY public.gallery
    ADD CONSTRAINT gallery_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.gallery
    ADD CONSTRAINT gallery_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.given_event
    ADD CONSTRAINT given_event_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id);

ALTER TABLE ONLY public.given_mark
    ADD CONSTRAINT given_mark_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.group_member
    ADD CONSTRAINT group_member_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.group_member
    ADD CONSTRAINT group_member_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id);

ALTER TABLE ONLY public.group_member
    ADD CONSTRAINT group_member_group_id_fkey FOREIGN KEY (group_id) REFERENCES public.group_work(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.group_work
    ADD CONSTRAINT group_work_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id);

ALTER TABLE ONLY public.group_work
    ADD CONSTRAINT group_work_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id);

ALTER TABLE ONLY public.guest
    ADD CONSTRAINT guest_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.guest
    ADD CONSTRAINT guest_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.invitation
    ADD CONSTRAINT invitation_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.invitation
    ADD CONSTRAINT invitation_invited_by_fkey FOREIGN KEY (invited_by) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.invitation
    ADD CONSTRAINT invitation_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.item
    ADD CONSTRAINT item_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.job
    ADD CONSTRAINT job_asked_by_fkey FOREIGN KEY (asked_by) REFERENCES public.account(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.kept_comment
    ADD CONSTRAINT kept_comment_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.known_browser
    ADD CONSTRAINT known_browser_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.lti_account
    ADD CONSTRAINT lti_account_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.lti_choice
    ADD CONSTRAINT lti_choice_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.lti_choice
    ADD CONSTRAINT lti_choice_class_id_fkey FOREIGN KEY (class_id) REFERENCES public.class(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.lti_course
    ADD CONSTRAINT lti_course_class_id_fkey FOREIGN KEY (class_id) REFERENCES public.class(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.lti_link
    ADD CONSTRAINT lti_link_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.made_file
    ADD CONSTRAINT made_file_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.made_file
    ADD CONSTRAINT made_file_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.made_piece
    ADD CONSTRAINT made_piece_file_id_fkey FOREIGN KEY (file_id) REFERENCES public.made_file(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.mail
    ADD CONSTRAINT mail_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.mail_key
    ADD CONSTRAINT mail_key_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.mark_before
    ADD CONSTRAINT mark_before_by_id_fkey FOREIGN KEY (by_id) REFERENCES public.account(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.mark_before
    ADD CONSTRAINT mark_before_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.mark
    ADD CONSTRAINT mark_by_id_fkey FOREIGN KEY (by_id) REFERENCES public.account(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.mark_reply
    ADD CONSTRAINT mark_reply_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.mark_reply
    ADD CONSTRAINT mark_reply_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.mark
    ADD CONSTRAINT mark_saved_by_fkey FOREIGN KEY (saved_by) REFERENCES public.account(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.mark
    ADD CONSTRAINT mark_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id);

ALTER TABLE ONLY public.mark_voice
    ADD CONSTRAINT mark_voice_by_id_fkey FOREIGN KEY (by_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.mark_voice
    ADD CONSTRAINT mark_voice_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.media
    ADD CONSTRAINT media_created_by_fkey FOREIGN KEY (created_by) REFERENCES public.account(id);

ALTER TABLE ONLY public.media_file
    ADD CONSTRAINT media_file_hash_fkey FOREIGN KEY (hash) REFERENCES public.blob(hash);

ALTER TABLE ONLY public.media_file
    ADD CONSTRAINT media_file_media_id_fkey FOREIGN KEY (media_id) REFERENCES public.media(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.media
    ADD CONSTRAINT media_made_of_fkey FOREIGN KEY (made_of) REFERENCES public.media(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.media
    ADD CONSTRAINT media_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.moderation
    ADD CONSTRAINT moderation_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.notice_choice
    ADD CONSTRAINT notice_choice_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.one_time_code
    ADD CONSTRAINT one_time_code_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.opened_day
    ADD CONSTRAINT opened_day_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.organisation_invitation
    ADD CONSTRAINT organisation_invitation_invited_by_fkey FOREIGN KEY (invited_by) REFERENCES public.account(id);

ALTER TABLE ONLY public.organisation_invitation
    ADD CONSTRAINT organisation_invitation_organisation_id_fkey FOREIGN KEY (organisation_id) REFERENCES public.organisation(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.organisation_member
    ADD CONSTRAINT organisation_member_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.organisation_member
    ADD CONSTRAINT organisation_member_organisation_id_fkey FOREIGN KEY (organisation_id) REFERENCES public.organisation(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.page_pass
    ADD CONSTRAINT page_pass_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.page_report
    ADD CONSTRAINT page_report_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.page
    ADD CONSTRAINT page_version_id_fkey FOREIGN KEY (version_id) REFERENCES public.version(id);

ALTER TABLE ONLY public.past_state
    ADD CONSTRAINT past_state_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.peer_review
    ADD CONSTRAINT peer_review_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.peer_review
    ADD CONSTRAINT peer_review_assignment_id_fkey FOREIGN KEY (assignment_id) REFERENCES public.assignment(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.peer_review
    ADD CONSTRAINT peer_review_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.practice
    ADD CONSTRAINT practice_class_id_fkey FOREIGN KEY (class_id) REFERENCES public.class(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.practice_result
    ADD CONSTRAINT practice_result_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.practice_result
    ADD CONSTRAINT practice_result_practice_id_fkey FOREIGN KEY (practice_id) REFERENCES public.practice(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.practice
    ADD CONSTRAINT practice_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.publication
    ADD CONSTRAINT publication_class_id_fkey FOREIGN KEY (class_id) REFERENCES public.class(id);

ALTER TABLE ONLY public.publication
    ADD CONSTRAINT publication_organisation_id_fkey FOREIGN KEY (organisation_id) REFERENCES public.organisation(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.publication
    ADD CONSTRAINT publication_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id);

ALTER TABLE ONLY public.publication
    ADD CONSTRAINT publication_version_id_fkey FOREIGN KEY (version_id) REFERENCES public.version(id);

ALTER TABLE ONLY public.question
    ADD CONSTRAINT question_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.question
    ADD CONSTRAINT question_answered_by_fkey FOREIGN KEY (answered_by) REFERENCES public.account(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.question
    ADD CONSTRAINT question_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.removed_editor
    ADD CONSTRAINT removed_editor_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.removed_editor
    ADD CONSTRAINT removed_editor_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.rubric
    ADD CONSTRAINT rubric_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.said_report
    ADD CONSTRAINT said_report_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.said_report
    ADD CONSTRAINT said_report_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.saved_look
    ADD CONSTRAINT saved_look_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.saved_look
    ADD CONSTRAINT saved_look_class_id_fkey FOREIGN KEY (class_id) REFERENCES public.class(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.second_mark
    ADD CONSTRAINT second_mark_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.second_mark
    ADD CONSTRAINT second_mark_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.sent_event
    ADD CONSTRAINT sent_event_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.session
    ADD CONSTRAINT session_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.set_aside
    ADD CONSTRAINT set_aside_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE SET NULL;

ALTER TABLE ONLY public.set_aside
    ADD CONSTRAINT set_aside_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.short_link
    ADD CONSTRAINT short_link_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.sign_on_account
    ADD CONSTRAINT sign_on_account_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.sign_on_claim
    ADD CONSTRAINT sign_on_claim_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.sign_on_group
    ADD CONSTRAINT sign_on_group_class_id_fkey FOREIGN KEY (class_id) REFERENCES public.class(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.source
    ADD CONSTRAINT source_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.step_spare
    ADD CONSTRAINT step_spare_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.submission_drawing
    ADD CONSTRAINT submission_drawing_submission_id_fkey FOREIGN KEY (submission_id) REFERENCES public.submission(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.submission
    ADD CONSTRAINT submission_group_id_fkey FOREIGN KEY (group_id) REFERENCES public.group_work(id);

ALTER TABLE ONLY public.submission
    ADD CONSTRAINT submission_replaced_by_fkey FOREIGN KEY (replaced_by) REFERENCES public.submission(id);

ALTER TABLE ONLY public.submission
    ADD CONSTRAINT submission_submitted_by_fkey FOREIGN KEY (submitted_by) REFERENCES public.account(id);

ALTER TABLE ONLY public.submission
    ADD CONSTRAINT submission_version_id_fkey FOREIGN KEY (version_id) REFERENCES public.version(id);

ALTER TABLE ONLY public.suggestion
    ADD CONSTRAINT suggestion_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.suggestion
    ADD CONSTRAINT suggestion_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.thumbnail
    ADD CONSTRAINT thumbnail_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.upload
    ADD CONSTRAINT upload_account_id_fkey FOREIGN KEY (account_id) REFERENCES public.account(id);

ALTER TABLE ONLY public.upload
    ADD CONSTRAINT upload_media_id_fkey FOREIGN KEY (media_id) REFERENCES public.media(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.upload_piece
    ADD CONSTRAINT upload_piece_upload_id_fkey FOREIGN KEY (upload_id) REFERENCES public.upload(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.upload
    ADD CONSTRAINT upload_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id) ON DELETE CASCADE;

ALTER TABLE ONLY public.version
    ADD CONSTRAINT version_created_by_fkey FOREIGN KEY (created_by) REFERENCES public.account(id);

ALTER TABLE ONLY public.version_media
    ADD CONSTRAINT version_media_media_id_fkey FOREIGN KEY (media_id) REFERENCES public.media(id);

ALTER TABLE ONLY public.version_media
    ADD CONSTRAINT version_media_version_id_fkey FOREIGN KEY (version_id) REFERENCES public.version(id);

ALTER TABLE ONLY public.version
    ADD CONSTRAINT version_timeline_id_fkey FOREIGN KEY (timeline_id) REFERENCES public.timeline(id);
