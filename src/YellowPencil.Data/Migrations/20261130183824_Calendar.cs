using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace YellowPencil.Data.Migrations
{
    /// <inheritdoc />
    public partial class Calendar : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(
                name: "sessions_a_week",
                table: "plans",
                type: "integer",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "calendar_key",
                table: "AspNetUsers",
                type: "character varying(64)",
                maxLength: 64,
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "group_size",
                table: "AspNetUsers",
                type: "integer",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "busy_times",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    from = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    until = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_busy_times", x => x.id);
                    table.ForeignKey(
                        name: "fk_busy_times_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "holidays",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    first = table.Column<DateOnly>(type: "date", nullable: false),
                    last = table.Column<DateOnly>(type: "date", nullable: false),
                    name = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_holidays", x => x.id);
                    table.ForeignKey(
                        name: "fk_holidays_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "learnt_facts",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    student_id = table.Column<Guid>(type: "uuid", nullable: false),
                    fact = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    written = table.Column<int>(type: "integer", nullable: false),
                    begun_on = table.Column<DateOnly>(type: "date", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_learnt_facts", x => x.id);
                    table.ForeignKey(
                        name: "fk_learnt_facts_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_learnt_facts_students_student_id",
                        column: x => x.student_id,
                        principalTable: "students",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "slots",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    day = table.Column<int>(type: "integer", nullable: false),
                    start = table.Column<TimeOnly>(type: "time without time zone", nullable: false),
                    minutes = table.Column<int>(type: "integer", nullable: false),
                    ended_on = table.Column<DateOnly>(type: "date", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_slots", x => x.id);
                    table.ForeignKey(
                        name: "fk_slots_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "week_proposals",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    state = table.Column<string>(type: "character varying(20)", maxLength: 20, nullable: false),
                    is_enough = table.Column<bool>(type: "boolean", nullable: false),
                    content = table.Column<string>(type: "text", nullable: false),
                    found = table.Column<int>(type: "integer", nullable: false),
                    at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    began_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                    ended_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_week_proposals", x => x.id);
                    table.ForeignKey(
                        name: "fk_week_proposals_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "fact_checks",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    learnt_fact_id = table.Column<Guid>(type: "uuid", nullable: false),
                    on = table.Column<DateOnly>(type: "date", nullable: false),
                    right = table.Column<int>(type: "integer", nullable: false),
                    asked = table.Column<int>(type: "integer", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_fact_checks", x => x.id);
                    table.ForeignKey(
                        name: "fk_fact_checks_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_fact_checks_learnt_facts_learnt_fact_id",
                        column: x => x.learnt_fact_id,
                        principalTable: "learnt_facts",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "not_free",
                columns: table => new
                {
                    student_id = table.Column<Guid>(type: "uuid", nullable: false),
                    slot_id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_not_free", x => new { x.student_id, x.slot_id });
                    table.ForeignKey(
                        name: "fk_not_free_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_not_free_slots_slot_id",
                        column: x => x.slot_id,
                        principalTable: "slots",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_not_free_students_student_id",
                        column: x => x.student_id,
                        principalTable: "students",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "seats",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    plan_id = table.Column<Guid>(type: "uuid", nullable: false),
                    slot_id = table.Column<Guid>(type: "uuid", nullable: false),
                    from = table.Column<DateOnly>(type: "date", nullable: false),
                    until = table.Column<DateOnly>(type: "date", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_seats", x => x.id);
                    table.ForeignKey(
                        name: "fk_seats_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_seats_plans_plan_id",
                        column: x => x.plan_id,
                        principalTable: "plans",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_seats_slots_slot_id",
                        column: x => x.slot_id,
                        principalTable: "slots",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "seat_changes",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    seat_id = table.Column<Guid>(type: "uuid", nullable: false),
                    on = table.Column<DateOnly>(type: "date", nullable: false),
                    to_day = table.Column<DateOnly>(type: "date", nullable: true),
                    to_slot_id = table.Column<Guid>(type: "uuid", nullable: true),
                    because = table.Column<string>(type: "character varying(400)", maxLength: 400, nullable: false),
                    by_name = table.Column<string>(type: "text", nullable: false),
                    at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_seat_changes", x => x.id);
                    table.ForeignKey(
                        name: "fk_seat_changes_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_seat_changes_seats_seat_id",
                        column: x => x.seat_id,
                        principalTable: "seats",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_seat_changes_slots_to_slot_id",
                        column: x => x.to_slot_id,
                        principalTable: "slots",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_asp_net_users_calendar_key",
                table: "AspNetUsers",
                column: "calendar_key",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_busy_times_owner_id",
                table: "busy_times",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_fact_checks_learnt_fact_id",
                table: "fact_checks",
                column: "learnt_fact_id");

            migrationBuilder.CreateIndex(
                name: "ix_fact_checks_owner_id",
                table: "fact_checks",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_holidays_owner_id",
                table: "holidays",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_learnt_facts_owner_id",
                table: "learnt_facts",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_learnt_facts_student_id_fact",
                table: "learnt_facts",
                columns: new[] { "student_id", "fact" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_not_free_owner_id",
                table: "not_free",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_not_free_slot_id",
                table: "not_free",
                column: "slot_id");

            migrationBuilder.CreateIndex(
                name: "ix_seat_changes_owner_id",
                table: "seat_changes",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_seat_changes_seat_id_on",
                table: "seat_changes",
                columns: new[] { "seat_id", "on" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_seat_changes_to_slot_id",
                table: "seat_changes",
                column: "to_slot_id");

            migrationBuilder.CreateIndex(
                name: "ix_seats_owner_id",
                table: "seats",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_seats_plan_id",
                table: "seats",
                column: "plan_id");

            migrationBuilder.CreateIndex(
                name: "ix_seats_slot_id",
                table: "seats",
                column: "slot_id");

            migrationBuilder.CreateIndex(
                name: "ix_slots_owner_id",
                table: "slots",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_week_proposals_owner_id",
                table: "week_proposals",
                column: "owner_id");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "busy_times");

            migrationBuilder.DropTable(
                name: "fact_checks");

            migrationBuilder.DropTable(
                name: "holidays");

            migrationBuilder.DropTable(
                name: "not_free");

            migrationBuilder.DropTable(
                name: "seat_changes");

            migrationBuilder.DropTable(
                name: "week_proposals");

            migrationBuilder.DropTable(
                name: "learnt_facts");

            migrationBuilder.DropTable(
                name: "seats");

            migrationBuilder.DropTable(
                name: "slots");

            migrationBuilder.DropIndex(
                name: "ix_asp_net_users_calendar_key",
                table: "AspNetUsers");

            migrationBuilder.DropColumn(
                name: "sessions_a_week",
                table: "plans");

            migrationBuilder.DropColumn(
                name: "calendar_key",
                table: "AspNetUsers");

            migrationBuilder.DropColumn(
                name: "group_size",
                table: "AspNetUsers");
        }
    }
}
