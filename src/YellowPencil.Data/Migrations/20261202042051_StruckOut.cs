using System.Collections.Generic;
using Microsoft.EntityFrameworkCore.Migrations;
using YellowPencil.Data;

#nullable disable

namespace YellowPencil.Data.Migrations
{
    /// <inheritdoc />
    public partial class StruckOut : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Dictionary<string, List<StruckText>>>(
                name: "struck",
                table: "pages",
                type: "jsonb",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "struck",
                table: "pages");
        }
    }
}
