-- Materials and mixes as lots, with all that is known of each and from where.
create table lot (
    id        bigint generated always as identity primary key,
    name      varchar_ignorecase(60) not null unique,
    material  varchar(60)  not null,
    kind      varchar(12)  not null,
    received  date,
    source    varchar(300) not null,
    prepared  varchar(100) not null,
    cautions  varchar(300) not null,
    recipe    varchar(200) not null
);
create table lot_figure (
    id          bigint generated always as identity primary key,
    lot_id      bigint not null references lot (id) on delete cascade,
    property    varchar(12) not null,
    amount      double precision not null,
    origin      varchar(12) not null,
    said        varchar(300) not null,
    told_on     date not null,
    depth_cm    double precision not null,
    trial_id    bigint not null
);
-- Uses that a station has made its own; those that are not here are as they came.
create table use_window (
    code     varchar(20) primary key,
    name     varchar(60)  not null,
    depth_cm double precision not null,
    why      varchar(300) not null
);
create table use_bound (
    use_code varchar(20) not null references use_window (code) on delete cascade,
    place    integer not null,
    property varchar(12) not null,
    least    double precision not null,
    least_ok double precision not null,
    most_ok  double precision not null,
    most     double precision not null,
    below    varchar(300) not null,
    above    varchar(300) not null,
    primary key (use_code, place)
);
