using System.Collections.Generic;
using Microsoft.EntityFrameworkCore.Migrations;
using YellowPencil.Data;

#nullable disable

namespace YellowPencil.Data.Migrations
{
    /// <inheritdoc />
    public partial class BesideThePage : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Dictionary<string, double>>(
                name: "known",
                table: "pages",
                type: "jsonb",
                nullable: true);

            migrationBuilder.AddColumn<Dictionary<string, List<NotReadText>>>(
                name: "not_read",
                table: "pages",
                type: "jsonb",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "known",
                table: "pages");

            migrationBuilder.DropColumn(
                name: "not_read",
                table: "pages");
        }
    }
}
