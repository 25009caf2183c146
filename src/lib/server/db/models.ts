import type { ReleasedRoom } from '../../../core/release/release.ts';
import type { SinceRelease } from '../../../core/releases/since-release.ts';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize
} from 'sequelize';
import type { Dash } from '../../../core/schema/fields.ts';
import { definePeopleModels } from './people-models.ts';
import { defineSettingModels } from './setting-models.ts';
import {
  json,
  maybeOwner,
  maybeWhole,
  owner,
  real,
  seq,
  tableOf,
  stamped,
  text,
  uuid,
  whole
} from './columns.ts';

export class Profile extends Model<InferAttributes<Profile>, InferCreationAttributes<Profile>> {
  declare id: CreationOptional<string>;
  declare name: string;
  declare version: number;
  declare rules: unknown;
  declare documentVersion: number;
  declare madeAt: CreationOptional<Date>;
  declare madeBy: CreationOptional<string | null>;
  declare note: CreationOptional<string>;
}

export class Job extends Model<InferAttributes<Job>, InferCreationAttributes<Job>> {
  declare id: CreationOptional<string>;
  declare number: string;
  declare title: string;
  declare place: string;
  declare data: string;
  declare openedAt: CreationOptional<Date>;
  declare closedAt: CreationOptional<Date | null>;
  declare closedBy: CreationOptional<string | null>;
}

export class Joint extends Model<InferAttributes<Joint>, InferCreationAttributes<Joint>> {
  declare id: CreationOptional<string>;
  declare jobId: string;
  declare profileId: string;
  declare title: string;
  declare definition: unknown;
  declare documentVersion: number;
  declare revision: CreationOptional<number>;
  declare savedAt: CreationOptional<Date>;
  declare savedBy: string | null;
}

export class JointRevision extends Model<
  InferAttributes<JointRevision>,
  InferCreationAttributes<JointRevision>
> {
  declare jointId: string;
  declare revision: number;
  declare profileId: CreationOptional<string | null>;
  declare title: string;
  declare definition: unknown;
  declare documentVersion: number;
  declare savedAt: CreationOptional<Date>;
  declare savedBy: string | null;
}

export class JointRelease extends Model<
  InferAttributes<JointRelease>,
  InferCreationAttributes<JointRelease>
> {
  declare id: CreationOptional<string>;
  declare jointId: string;
  declare number: number;
  declare revision: number;
  declare definition: unknown;
  declare rules: unknown;
  declare facts: unknown;
  declare documentVersion: number;
  declare since: CreationOptional<SinceRelease | null>;
  declare issuedAt: CreationOptional<Date>;
  declare issuedBy: string;
}

export class Hole extends Model<InferAttributes<Hole>, InferCreationAttributes<Hole>> {
  declare releaseId: string;
  declare number: number;
  declare row: number;
  declare xIn: number;
  declare yIn: number;
  declare markIn: number;
  declare state: CreationOptional<'rivet' | 'held-open'>;
  declare reason: CreationOptional<string>;
  declare dash: CreationOptional<Dash | null>;
  declare stack: CreationOptional<number>;
  declare gripIn: CreationOptional<number | null>;
  declare room: CreationOptional<ReleasedRoom | null>;
  /** what makes its inspection complete, in the bits of `look_told` (migration 0020) */
  declare asked: CreationOptional<number>;
}

export class StockBin extends Model<InferAttributes<StockBin>, InferCreationAttributes<StockBin>> {
  declare id: CreationOptional<string>;
  declare partNumber: string;
  declare lot: string;
  declare place: string;
  declare cold: boolean;
  /** what its events come to */
  declare count: CreationOptional<number>;
  declare madeAt: CreationOptional<Date>;
}

export class ShopFiguresRow extends Model<
  InferAttributes<ShopFiguresRow>,
  InferCreationAttributes<ShopFiguresRow>
> {
  declare seq: CreationOptional<string>;
  declare figures: unknown;
  declare personId: string;
  declare recordedAt: CreationOptional<Date>;
}

/** Binds the models to one connection; tables are made by the migrations alone. */
export function defineModels(sequelize: Sequelize) {
  const at = tableOf(sequelize);
  Profile.init(
    {
      id: uuid(),
      name: text(),
      version: whole(),
      rules: json(),
      documentVersion: whole(),
      madeAt: stamped(),
      madeBy: maybeOwner(),
      note: { ...text(), defaultValue: '' }
    },
    at('rule_profiles')
  );
  Job.init(
    {
      id: uuid(),
      number: text(),
      title: text(),
      place: text(),
      data: text(),
      openedAt: stamped(),
      closedAt: { type: DataTypes.DATE, allowNull: true },
      closedBy: maybeOwner()
    },
    at('jobs')
  );
  Joint.init(
    {
      id: uuid(),
      jobId: owner(),
      profileId: owner(),
      title: text(),
      definition: json(),
      documentVersion: whole(),
      revision: { ...whole(), defaultValue: 1 },
      savedAt: stamped(),
      savedBy: maybeOwner()
    },
    at('joints')
  );
  JointRevision.init(
    {
      jointId: { ...owner(), primaryKey: true },
      revision: { ...whole(), primaryKey: true },
      profileId: maybeOwner(),
      title: text(),
      definition: json(),
      documentVersion: whole(),
      savedAt: stamped(),
      savedBy: maybeOwner()
    },
    at('joint_revisions')
  );
  JointRelease.init(
    {
      id: uuid(),
      jointId: owner(),
      number: whole(),
      revision: whole(),
      definition: json(),
      rules: json(),
      facts: json(),
      documentVersion: whole(),
      since: { type: DataTypes.JSONB, allowNull: true },
      issuedAt: stamped(),
      issuedBy: owner()
    },
    at('joint_issues')
  );
  Hole.init(
    {
      releaseId: { ...owner(), field: 'issue_id', primaryKey: true },
      number: { ...whole(), primaryKey: true },
      row: whole(),
      xIn: real(),
      yIn: real(),
      markIn: real(),
      state: { ...text(), defaultValue: 'rivet' },
      reason: { ...text(), defaultValue: '' },
      dash: maybeWhole(),
      stack: { ...whole(), defaultValue: 0 },
      gripIn: { type: DataTypes.DOUBLE, allowNull: true },
      room: { type: DataTypes.JSONB, allowNull: true },
      asked: { ...whole(), defaultValue: 1 }
    },
    at('holes')
  );
  StockBin.init(
    {
      id: uuid(),
      partNumber: text(),
      lot: text(),
      place: { ...text(), defaultValue: '' },
      cold: { type: DataTypes.BOOLEAN, allowNull: false },
      count: { ...whole(), defaultValue: 0 },
      madeAt: stamped()
    },
    at('stock_bins')
  );
  ShopFiguresRow.init(
    {
      seq: seq(),
      figures: json(),
      personId: owner(),
      recordedAt: stamped()
    },
    at('shop_figures')
  );
  const settings = defineSettingModels(sequelize);
  const people = definePeopleModels(sequelize);
  const person = { as: 'person', foreignKey: 'personId' };
  settings.CageSettingRow.belongsTo(people.Person, person);
  settings.ToolSettingRow.belongsTo(people.Person, person);
  return {
    ...people,
    Profile,
    Job,
    Joint,
    JointRevision,
    JointRelease,
    Hole,
    StockBin,
    ShopFiguresRow,
    ...settings
  };
}
