import {
  DataTypes,
  Model,
  Op,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize
} from 'sequelize';
import type { Role } from '../../../core/people/rights.ts';
import { json, maybeOwner, owner, seq, tableOf, text, uuid } from './columns.ts';

/** Who works here, or did. Their secrets are read by the scope `withSecrets` alone. */
export class Person extends Model<InferAttributes<Person>, InferCreationAttributes<Person>> {
  declare id: CreationOptional<string>;
  declare name: string;
  declare role: Role;
  declare login: CreationOptional<string | null>;
  declare passwordHash: CreationOptional<string | null>;
  declare pinHash: CreationOptional<string | null>;
  declare codeHash: CreationOptional<string | null>;
  declare codeUntil: CreationOptional<Date | null>;
  declare active: CreationOptional<boolean>;
  declare sessions?: NonAttribute<Session[]>;
}

/** A person signed in on a browser, until it ends or is over. */
export class Session extends Model<InferAttributes<Session>, InferCreationAttributes<Session>> {
  declare tokenHash: string;
  declare personId: string;
  declare how: string;
  declare begunAt: CreationOptional<Date>;
  declare seenAt: CreationOptional<Date>;
  declare until: Date;
  declare endedAt: CreationOptional<Date | null>;
  declare deviceId: CreationOptional<string | null>;
  declare benchId: CreationOptional<string | null>;
  declare person?: NonAttribute<Person>;
}

/** A browser, by what it is known by. */
export class Device extends Model<InferAttributes<Device>, InferCreationAttributes<Device>> {
  declare id: CreationOptional<string>;
  declare tokenHash: string;
}

/** A shared device that a lead has trusted. */
export class TrustedBenchRow extends Model<
  InferAttributes<TrustedBenchRow>,
  InferCreationAttributes<TrustedBenchRow>
> {
  declare id: CreationOptional<string>;
  declare tokenHash: string;
  declare name: string;
  declare trustedBy: string;
  declare trustedAt: CreationOptional<Date>;
  declare endedAt: CreationOptional<Date | null>;
  declare lead?: NonAttribute<Person>;
}

export class PeopleLogRow extends Model<
  InferAttributes<PeopleLogRow>,
  InferCreationAttributes<PeopleLogRow>
> {
  declare seq: CreationOptional<string>;
  declare byId: string | null;
  declare personId: string | null;
  declare what: string;
  declare detail: object;
}

const maybeText = () => ({ type: DataTypes.TEXT, allowNull: true });
const maybeAt = () => ({ type: DataTypes.DATE, allowNull: true });
/** By the database’s clock, which is one for every process. */
const atNow = (sequelize: Sequelize) => ({
  type: DataTypes.DATE,
  allowNull: false,
  defaultValue: sequelize.fn('now')
});

/** Binds the models of people and their coming and going to one connection. */
export function definePeopleModels(sequelize: Sequelize) {
  const at = tableOf(sequelize);
  Person.init(
    {
      id: uuid(),
      name: text(),
      role: text(),
      login: maybeText(),
      passwordHash: maybeText(),
      pinHash: maybeText(),
      codeHash: maybeText(),
      codeUntil: maybeAt(),
      active: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: true }
    },
    {
      ...at('people'),
      defaultScope: { attributes: ['id', 'name', 'role'] },
      scopes: {
        withSecrets: {},
        here: { attributes: ['id', 'name', 'role'], where: { active: true } },
        withPin: {
          attributes: ['id', 'name'],
          where: { active: true, pinHash: { [Op.ne]: null } }
        }
      }
    }
  );
  Session.init(
    {
      tokenHash: { ...text(), primaryKey: true },
      personId: owner(),
      how: text(),
      begunAt: atNow(sequelize),
      seenAt: atNow(sequelize),
      until: { type: DataTypes.DATE, allowNull: false },
      endedAt: maybeAt(),
      deviceId: maybeOwner(),
      benchId: maybeOwner()
    },
    {
      ...at('sessions'),
      scopes: { open: { where: { endedAt: null, until: { [Op.gt]: sequelize.fn('now') } } } }
    }
  );
  Device.init({ id: uuid(), tokenHash: text() }, at('devices'));
  TrustedBenchRow.init(
    {
      id: uuid(),
      tokenHash: text(),
      name: text(),
      trustedBy: owner(),
      trustedAt: atNow(sequelize),
      endedAt: maybeAt()
    },
    { ...at('trusted_benches'), scopes: { trusted: { where: { endedAt: null } } } }
  );
  PeopleLogRow.init(
    { seq: seq(), byId: maybeOwner(), personId: maybeOwner(), what: text(), detail: json() },
    at('people_log')
  );
  Person.hasMany(Session, { as: 'sessions', foreignKey: 'personId' });
  Session.belongsTo(Person, { as: 'person', foreignKey: 'personId' });
  TrustedBenchRow.belongsTo(Person, { as: 'lead', foreignKey: 'trustedBy' });
  return { Person, Session, Device, TrustedBenchRow, PeopleLogRow };
}
