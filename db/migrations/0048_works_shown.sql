-- When students see what others of their class handed in: what their teacher chooses for the gallery, all once their own is in, or all
-- once the due time has passed.
alter table assignment
  add column works_shown text not null default 'chosen',
  add constraint assignment_works_shown_known check (works_shown in ('chosen', 'handed_in', 'due'));

-- Whether all that was handed in for an assignment is open to a student of its class. Whoever still has time sees nothing.
create function sees_works(assignment text, account text) returns boolean language sql stable as $$
  select exists (
    select from assignment a join class_member m on m.class_id = a.class_id and m.account_id = $2
    left join group_member g on g.assignment_id = a.id and g.account_id = $2
    where a.id = $1 and (
      (a.works_shown = 'handed_in' and exists (select from current_submission s where s.group_id = g.group_id))
      or (a.works_shown = 'due' and now() > greatest(due_for(a.id, $2), due_of_group(g.group_id)))))
$$;
