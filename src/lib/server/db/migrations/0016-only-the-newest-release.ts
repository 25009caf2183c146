import type { QueryInterface } from 'sequelize';

/**
 * Nothing is added to a release that a newer one has taken over from: it would be lost sight of. Whoever releases holds the
 * row of the one before (its events wait for that, by their reference), and this looks once they have it.
 */
export const onlyTheNewestRelease = {
  name: '0016-only-the-newest-release',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
create function refuse_superseded() returns trigger language plpgsql as $$
declare newest integer;
begin
  select max(n.number) into newest from joint_issues n join joint_issues i on i.joint_id = n.joint_id
    where i.id = new.subject_id and n.number > i.number;
  if newest is not null then
    raise exception 'release % has taken its place', newest using errcode = 'ZS002';
  end if;
  return null;
end $$;
${['hole_events', 'drive_events', 'rework_events', 'sign_events']
  .map(
    (table) => `create trigger z_${table}_not_superseded after insert on ${table}
  for each row execute function refuse_superseded();`
  )
  .join('\n')}`);
  }
};
