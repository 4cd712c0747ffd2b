using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace YellowPencil.Data.Migrations
{
    /// <inheritdoc />
    public partial class Keeping : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "ix_students_owner_id_code",
                table: "students");

            migrationBuilder.DropIndex(
                name: "ix_readings_page_id",
                table: "readings");

            migrationBuilder.DropIndex(
                name: "ix_plans_page_id",
                table: "plans");

            migrationBuilder.DropColumn(
                name: "summary",
                table: "readings");

            migrationBuilder.AddColumn<string>(
                name: "rules",
                table: "readings",
                type: "text",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "code_key",
                table: "students",
                type: "character varying(40)",
                maxLength: 40,
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<Guid>(
                name: "removal_id",
                table: "students",
                type: "uuid",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "page_version",
                table: "readings",
                type: "integer",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<int>(
                name: "page_version",
                table: "plans",
                type: "integer",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<Guid>(
                name: "removal_id",
                table: "plans",
                type: "uuid",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "item_count",
                table: "pages",
                type: "integer",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<Guid>(
                name: "removal_id",
                table: "pages",
                type: "uuid",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "version",
                table: "pages",
                type: "integer",
                nullable: false,
                defaultValue: 1);

            migrationBuilder.AddColumn<int>(
                name: "page_version",
                table: "decisions",
                type: "integer",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<bool>(
                name: "has_name_line",
                table: "AspNetUsers",
                type: "boolean",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<string>(
                name: "time_zone",
                table: "AspNetUsers",
                type: "character varying(60)",
                maxLength: 60,
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "typing_direction",
                table: "AspNetUsers",
                type: "character varying(20)",
                maxLength: 20,
                nullable: false,
                defaultValue: "NotAsked");

            migrationBuilder.CreateTable(
                name: "removals",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    what = table.Column<string>(type: "text", nullable: false),
                    code = table.Column<string>(type: "text", nullable: false),
                    by_name = table.Column<string>(type: "text", nullable: false),
                    at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    undone_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                    erased_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_removals", x => x.id);
                    table.ForeignKey(
                        name: "fk_removals_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "rule_names",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    rules = table.Column<string>(type: "text", nullable: false),
                    name = table.Column<string>(type: "character varying(200)", maxLength: 200, nullable: false),
                    by_name = table.Column<string>(type: "text", nullable: false),
                    at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_rule_names", x => x.id);
                    table.ForeignKey(
                        name: "fk_rule_names_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "sent_forms",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    address = table.Column<string>(type: "text", nullable: false),
                    at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_sent_forms", x => new { x.owner_id, x.id });
                    table.ForeignKey(
                        name: "fk_sent_forms_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "signed_in_browsers",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    specialist_id = table.Column<Guid>(type: "uuid", nullable: false),
                    since = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_signed_in_browsers", x => x.id);
                    table.ForeignKey(
                        name: "fk_signed_in_browsers_asp_net_users_specialist_id",
                        column: x => x.specialist_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.Sql(WhatStandsThere);

            migrationBuilder.CreateIndex(
                name: "ix_students_owner_id_code_key",
                table: "students",
                columns: new[] { "owner_id", "code_key" },
                unique: true,
                filter: "removal_id is null");

            migrationBuilder.CreateIndex(
                name: "ix_students_removal_id",
                table: "students",
                column: "removal_id");

            migrationBuilder.CreateIndex(
                name: "ix_readings_page_id_page_version_engine_version",
                table: "readings",
                columns: new[] { "page_id", "page_version", "engine_version" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_plans_page_id_page_version_rules",
                table: "plans",
                columns: new[] { "page_id", "page_version", "rules" },
                unique: true,
                filter: "removal_id is null");

            migrationBuilder.CreateIndex(
                name: "ix_plans_removal_id",
                table: "plans",
                column: "removal_id");

            migrationBuilder.CreateIndex(
                name: "ix_pages_removal_id",
                table: "pages",
                column: "removal_id");

            migrationBuilder.CreateIndex(
                name: "ix_removals_owner_id",
                table: "removals",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_rule_names_owner_id",
                table: "rule_names",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_sent_forms_owner_id",
                table: "sent_forms",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_signed_in_browsers_specialist_id",
                table: "signed_in_browsers",
                column: "specialist_id");

            migrationBuilder.AddForeignKey(
                name: "fk_pages_removals_removal_id",
                table: "pages",
                column: "removal_id",
                principalTable: "removals",
                principalColumn: "id",
                onDelete: ReferentialAction.Restrict);

            migrationBuilder.AddForeignKey(
                name: "fk_plans_removals_removal_id",
                table: "plans",
                column: "removal_id",
                principalTable: "removals",
                principalColumn: "id",
                onDelete: ReferentialAction.Restrict);

            migrationBuilder.AddForeignKey(
                name: "fk_students_removals_removal_id",
                table: "students",
                column: "removal_id",
                principalTable: "removals",
                principalColumn: "id",
                onDelete: ReferentialAction.Restrict);
        }

        // Gives the rows that stand there what the new columns say: the latest reading, decision and plan have seen the page as it is
        // unless it changed since; codes that differ in case only are told apart; rules go by their new ids; names given on a page count everywhere.
        private const string WhatStandsThere = """
            update pages set item_count = jsonb_array_length(content->'items');

            update readings r set
              page_version = case when n.rank > 1 then -n.rank when r.made_at >= n.changed_at then 1 else 0 end,
              rules = case when r.outcome in ('bug', 'not-told-apart') then coalesce((
                select string_agg(bug, '+') from jsonb_array_elements_text(jsonb_path_query_first(r.content, '$.explanations[*] ? (@.bugs.size() > 0)')->'bugs') bug), '') else '' end
            from (select r.id, p.changed_at, row_number() over (partition by r.page_id order by r.made_at desc)::int rank from readings r join pages p on p.id = r.page_id) n
            where n.id = r.id;

            update decisions d set page_version = case when d.at >= p.changed_at then 1 else 0 end from pages p where p.id = d.page_id;

            update plans q set page_version = case when n.rank > 1 then -n.rank when q.made_at >= n.changed_at then 1 else 0 end
            from (select q.id, p.changed_at, row_number() over (partition by q.page_id, q.rules order by q.made_at desc)::int rank from plans q join pages p on p.id = q.page_id) n
            where n.id = q.id;

            update students s set code = case when n.rank = 1 then s.code else left(s.code, 34) || '-' || n.rank end,
              code_key = upper(case when n.rank = 1 then s.code else left(s.code, 34) || '-' || n.rank end)
            from (select id, row_number() over (partition by owner_id, upper(code) order by created_at) rank from students) n where n.id = s.id;

            insert into rule_names (id, owner_id, rules, name, by_name, at)
            select id, owner_id, rules, left(text, 200), by_name, at from decisions where kind = 'Renamed';
            """ + RenamedRules;

        private const string RenamedRules = """
            do $$
            declare pair text[]; held text;
            begin
              foreach held in array array['readings', 'decisions', 'plans', 'rule_names'] loop
                foreach pair slice 1 in array array[
                  array['smaller-from-larger-beside-zero', 'turns-round-beside-zero'], array['smaller-from-larger-after-first', 'turns-round-after-ones'],
                  array['smaller-from-larger-in-ones', 'turns-round-in-ones'], array['smaller-from-larger-after-lending', 'turns-round-after-lending'],
                  array['smaller-from-larger', 'turns-column-round'], array['stops-at-zero', 'zero-lends-and-stays'], array['adds-instead', 'minus-read-as-plus']] loop
                  execute format('update %I set rules = replace(rules, %L, %L) where position(%L in rules) > 0', held, 'subtraction.' || pair[1], 'subtraction.' || pair[2], 'subtraction.' || pair[1]);
                end loop;
              end loop;
            end $$;
            """;

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(
                name: "fk_pages_removals_removal_id",
                table: "pages");

            migrationBuilder.DropForeignKey(
                name: "fk_plans_removals_removal_id",
                table: "plans");

            migrationBuilder.DropForeignKey(
                name: "fk_students_removals_removal_id",
                table: "students");

            migrationBuilder.DropTable(
                name: "removals");

            migrationBuilder.DropTable(
                name: "rule_names");

            migrationBuilder.DropTable(
                name: "sent_forms");

            migrationBuilder.DropTable(
                name: "signed_in_browsers");

            migrationBuilder.DropIndex(
                name: "ix_students_owner_id_code_key",
                table: "students");

            migrationBuilder.DropIndex(
                name: "ix_students_removal_id",
                table: "students");

            migrationBuilder.DropIndex(
                name: "ix_readings_page_id_page_version_engine_version",
                table: "readings");

            migrationBuilder.DropIndex(
                name: "ix_plans_page_id_page_version_rules",
                table: "plans");

            migrationBuilder.DropIndex(
                name: "ix_plans_removal_id",
                table: "plans");

            migrationBuilder.DropIndex(
                name: "ix_pages_removal_id",
                table: "pages");

            migrationBuilder.DropColumn(
                name: "code_key",
                table: "students");

            migrationBuilder.DropColumn(
                name: "removal_id",
                table: "students");

            migrationBuilder.DropColumn(
                name: "page_version",
                table: "readings");

            migrationBuilder.DropColumn(
                name: "page_version",
                table: "plans");

            migrationBuilder.DropColumn(
                name: "removal_id",
                table: "plans");

            migrationBuilder.DropColumn(
                name: "item_count",
                table: "pages");

            migrationBuilder.DropColumn(
                name: "removal_id",
                table: "pages");

            migrationBuilder.DropColumn(
                name: "version",
                table: "pages");

            migrationBuilder.DropColumn(
                name: "page_version",
                table: "decisions");

            migrationBuilder.DropColumn(
                name: "has_name_line",
                table: "AspNetUsers");

            migrationBuilder.DropColumn(
                name: "time_zone",
                table: "AspNetUsers");

            migrationBuilder.DropColumn(
                name: "typing_direction",
                table: "AspNetUsers");

            migrationBuilder.RenameColumn(
                name: "rules",
                table: "readings",
                newName: "summary");

            migrationBuilder.CreateIndex(
                name: "ix_students_owner_id_code",
                table: "students",
                columns: new[] { "owner_id", "code" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_readings_page_id",
                table: "readings",
                column: "page_id");

            migrationBuilder.CreateIndex(
                name: "ix_plans_page_id",
                table: "plans",
                column: "page_id");
        }
    }
}
